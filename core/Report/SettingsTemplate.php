<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Scene\Readers\SceneJson;
use PlainLedger\Core\Scene\SettingHints;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;

/**
 * A scene document that names every fact a specification asks of a scene, each empty, so that an exporter needs only to
 * fill it in; or the same as lines of text to be filled in by hand. Facts that stay empty are told as not known.
 */
final readonly class SettingsTemplate
{
    /** Facts of a scene that answer what is asked by another name. */
    private const ALSO = [
        RequirementId::CAMERA_NAME => ['camera.chosen', 'camera.all', 'camera.views'],
        RequirementId::CAMERA_SINGLE => ['camera.chosen', 'camera.all', 'camera.views'],
        RequirementId::TIME_RANGE => [RequirementId::TIME_EXTENT, RequirementId::TIME_STEP, 'time.timeline'],
        RequirementId::PICTURE_RESOLUTION => [RequirementId::PICTURE_SCALE],
        RequirementId::PICTURE_DISPLAY_ASPECT => [
            RequirementId::PICTURE_RESOLUTION,
            RequirementId::PICTURE_PIXEL_ASPECT,
        ],
        RequirementId::TIME_COUNT => [RequirementId::TIME_RANGE],
        RequirementId::NAMING_FOLDER => [RequirementId::OUTPUT_FOLDER],
    ];

    private const LISTS = ['camera.chosen', 'camera.all', 'camera.views', 'passes', RequirementId::SCENE_LINKS];

    public static function json(Specification $specification): string
    {
        $settings = [];
        foreach (self::ids($specification) as $id) {
            $settings[$id] = null;
        }
        $document = [
            'format' => SceneJson::FORMAT, 'version' => 1,
            'note' => 'Fill in what the scene is set to; leave null what your program cannot tell. Lists: '
                .implode(', ', array_intersect(self::LISTS, array_keys($settings)))
                .'.'
                .self::ofParts($specification),
            'scene' => ['file' => null, 'saved' => null, 'project_folder' => null]
                + (count($specification->parts) > 1 ? ['part' => null] : []),
            'settings' => $settings,
        ];

        return json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }

    private static function ofParts(Specification $specification): string
    {
        $names = array_map(static fn (Part $p): string => $p->name, $specification->parts);

        return count($names) < 2 ? '' : ' The part that these settings make: '.implode(', ', $names).'.';
    }

    /** Lines of `id = `, each below a remark that says where to look. */
    public static function text(Specification $specification): string
    {
        $text = "# What “{$specification->title}” asks of a scene. Write behind each = what the scene is set to; "
            ."leave empty what you do not know.\n\nscene.file =\nscene.saved =\nscene.project_folder =\n";
        $text .= count($specification->parts) < 2 ? '' : "\n#".self::ofParts($specification)."\nscene.part =\n";
        $descriptors = [];
        foreach ($specification->parts as $part) {
            foreach ($part->requirements as $requirement) {
                $descriptors[$requirement->id()] = $requirement;
            }
        }
        foreach (self::ids($specification) as $id) {
            $requirement = $descriptors[$id] ?? null;
            $says = $requirement instanceof Requirement
                ? $requirement->sentence().' '.SettingHints::of($requirement->descriptor)
                : '';
            // an empty folder would be an answer: that none is set
            $text .= "\n"
                .($says === '' ? '' : '# '.trim((string) preg_replace('~\s+~', ' ', $says))."\n")
                .($id === RequirementId::OUTPUT_FOLDER ? '# ' : '')
                ."{$id} =\n";
        }

        return $text;
    }

    /**
     * @param  string|null  $part  what this part alone asks; null: what all of them ask
     * @return list<string> in the ledger's order
     */
    public static function ids(Specification $specification, ?string $part = null): array
    {
        $ids = [];
        foreach ($specification->parts as $each) {
            foreach ($part === null || $part === $each->name ? $each->requirements : [] as $requirement) {
                if (
                    $requirement->descriptor->inScene()
                    && ! str_starts_with($requirement->id(), RequirementId::SCENE_SAVED)
                ) {
                    $own = in_array(
                        $requirement->id(),
                        [
                            RequirementId::CAMERA_NAME,
                            RequirementId::CAMERA_SINGLE,
                            RequirementId::PICTURE_DISPLAY_ASPECT,
                            RequirementId::TIME_COUNT,
                            RequirementId::NAMING_FOLDER,
                        ],
                        true,
                    )
                        ? []
                        : [$requirement->id()];
                    foreach ([...$own, ...self::ALSO[$requirement->id()] ?? []] as $id) {
                        $ids[$id] = true;
                    }
                }
            }
        }
        $catalogue = \PlainLedger\Core\Specification\Catalogue::standard();
        $place = static fn (string $id): int => $catalogue->place(
            strtr(
                $id,
                [
                    'camera.chosen' => RequirementId::CAMERA_NAME,
                    'camera.all' => RequirementId::CAMERA_NAME,
                    'camera.views' => RequirementId::CAMERA_NAME,
                    'time.timeline' => RequirementId::TIME_EXTENT,
                ],
            ),
        );
        $list = array_keys($ids);
        usort($list, static fn (string $a, string $b): int => $place($a) <=> $place($b));

        return $list;
    }
}
