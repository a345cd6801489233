<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;

/** What has become of a check since the one before it: put right, new, come back; and settings that changed unasked. */
final readonly class CheckComparison
{
    /** Settings that go together: who was asked to change one may have changed the others. */
    private const TOGETHER = [
        [
            RequirementId::PICTURE_RESOLUTION,
            RequirementId::PICTURE_SCALE,
            RequirementId::PICTURE_DISPLAY_ASPECT,
            RequirementId::PICTURE_PIXEL_ASPECT,
        ],
        [
            RequirementId::TIME_RANGE, RequirementId::TIME_EXTENT, RequirementId::TIME_STEP, RequirementId::TIME_COUNT,
            'time.timeline', RequirementId::TIME_HANDLES,
        ],
        [RequirementId::CAMERA_NAME, RequirementId::CAMERA_SINGLE, 'camera.chosen'],
        [
            RequirementId::OUTPUT_FOLDER,
            RequirementId::NAMING_PATTERN,
            RequirementId::NAMING_FOLDER,
            RequirementId::OUTPUT_OVERWRITES,
        ],
        [
            RequirementId::FORMAT_KIND, RequirementId::FORMAT_CODEC, RequirementId::FORMAT_BIT_DEPTH,
            RequirementId::FORMAT_SAMPLE, RequirementId::FORMAT_CHANNELS, RequirementId::FORMAT_ALPHA,
            RequirementId::FORMAT_COMPRESSION, RequirementId::FORMAT_QUALITY, RequirementId::FORMAT_CHROMA,
        ],
        [RequirementId::RENDER_QUALITY, RequirementId::RENDER_SAMPLES],
    ];

    /**
     * @param  list<string>  $putRight  labels of lines that were unequal and balance now
     * @param  list<string>  $accepted  of lines that were unequal and are accepted as they are
     * @param  list<string>  $new  of lines that are unequal for the first time
     * @param  list<string>  $back  of lines that were unequal once, then not, and are again
     * @param  list<string>  $still  of lines that are unequal as before
     * @param  list<array{id: string, label: string, from: string, to: string}>  $unasked settings that changed though
     *   nobody was asked to
     */
    private function __construct(
        public array $putRight,
        public array $accepted,
        public array $new,
        public array $back,
        public array $still,
        public array $unasked,
    ) {}

    /**
     * @param  array<string, mixed>  $now  a `plain-ledger/check` document
     * @param  non-empty-list<array<string, mixed>>  $before  the documents before it, the newest first
     */
    public static function of(
        array $now,
        array $before,
        ?SceneSettings $scene = null,
        ?SceneSettings $sceneBefore = null,
    ): self {
        $earlier = array_map(self::marks(...), $before);
        $sets = ['putRight' => [], 'accepted' => [], 'new' => [], 'back' => [], 'still' => []];
        foreach (self::marks($now) as $key => $mark) {
            $set = self::change($mark, array_map(static fn (array $marks): ?string => $marks[$key] ?? null, $earlier));
            if ($set !== null) {
                $sets[$set][] = self::label($key);
            }
        }

        return new self(
            $sets['putRight'],
            $sets['accepted'],
            $sets['new'],
            $sets['back'],
            $sets['still'],
            $scene === null || $sceneBefore === null ? [] : self::unasked($scene, $sceneBefore, $before[0]),
        );
    }

    /**
     * What has become of one line.
     *
     * @param  list<string|null>  $before  its marks, the newest first
     */
    private static function change(string $mark, array $before): ?string
    {
        $wasWrong = ($before[0] ?? null) === 'unequal';
        if ($mark === 'unequal') {
            return match (true) {
                $wasWrong => 'still',
                in_array('unequal', $before, true) => 'back',
                default => 'new',
            };
        }

        return $wasWrong ? ['equal' => 'putRight', 'waived' => 'accepted'][$mark] ?? null : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'put_right' => $this->putRight, 'accepted' => $this->accepted, 'new' => $this->new, 'back' => $this->back,
            'still' => $this->still, 'unasked' => $this->unasked,
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, string> by part, id and pass
     */
    private static function marks(array $document): array
    {
        $marks = [];
        foreach (self::members($document, 'entries') as $entry) {
            if (is_string($entry['id'] ?? null) && is_string($entry['mark'] ?? null)) {
                $key = [$entry['id'], self::text($entry, 'part'), self::text($entry, 'pass')];
                $marks[implode("\t", $key)] = $entry['mark'];
            }
        }

        return $marks;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return list<array<mixed>>
     */
    private static function members(array $document, string $key): array
    {
        return array_values(array_filter(is_array($document[$key] ?? null) ? $document[$key] : [], is_array(...)));
    }

    /** @param  array<mixed>  $entry */
    private static function text(array $entry, string $key): string
    {
        return is_string($entry[$key] ?? null) ? $entry[$key] : '';
    }

    private static function label(string $key): string
    {
        [$id, , $pass] = explode("\t", $key);

        return (Catalogue::standard()->find($id)->label ?? $id).($pass === '' ? '' : " of {$pass}");
    }

    /**
     * @param  array<string, mixed>  $before
     * @return list<array{id: string, label: string, from: string, to: string}>
     */
    private static function unasked(SceneSettings $scene, SceneSettings $earlier, array $before): array
    {
        $asked = self::askedToChange($before);
        $labels = FieldNames::offered();
        $changed = [];
        [$was, $is] = [self::settings($earlier), self::settings($scene)];
        foreach ($was as $id => $value) {
            // a setting that is not told any more has not changed
            if (isset($is[$id]) && $is[$id] !== $value && ! isset($asked[$id])) {
                $changed[] = ['id' => $id, 'label' => $labels[$id] ?? $id, 'from' => $value, 'to' => $is[$id]];
            }
        }

        return $changed;
    }

    /**
     * Who was told that a line differs, or cannot be read, has been asked to see to it; and to what goes with it.
     *
     * @param  array<string, mixed>  $before
     * @return array<string, true> by id
     */
    private static function askedToChange(array $before): array
    {
        $open = array_filter(
            self::members($before, 'entries'),
            static fn (array $entry): bool => in_array($entry['mark'] ?? null, ['unequal', 'unknown'], true),
        );
        $told = [...$open, ...self::members($before, 'fixes')];
        $ids = array_filter(array_map(static fn (array $one): string => self::text($one, 'id'), $told));
        $asked = array_fill_keys($ids, true);
        foreach (self::TOGETHER as $group) {
            if (array_intersect($group, array_keys($asked)) !== []) {
                $asked += array_fill_keys($group, true);
            }
        }

        return $asked;
    }

    /** @return array<string, string> */
    private static function settings(SceneSettings $scene): array
    {
        $settings = $scene->all() + $scene->cameraSetup->facts;
        unset($settings[RequirementId::SCENE_SAVED]);
        foreach ([
            'camera.chosen' => $scene->cameraSetup->chosen,
            'camera.all' => $scene->cameraSetup->all,
        ] as $id => $names) {
            if ($names !== null) {
                sort($names);
                $settings[$id] = implode(', ', $names);
            }
        }
        if ($scene->passes !== null) {
            $settings['passes'] = implode(
                ', ',
                array_map(
                    static fn (array $p): string => $p['name'].($p['saved'] === false ? ' (not saved)' : ''),
                    $scene->passes,
                ),
            );
        }
        if ($scene->timeline !== null) {
            $settings['time.timeline'] = (string) $scene->timeline;
        }

        return $settings;
    }
}
