<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\Deliverable;
use App\Models\Waiver;
use PlainLedger\Core\Checking\SceneParts;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\SettingsTemplate;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\NamedValues;
use PlainLedger\Core\Scene\SceneSettings;
use PlainLedger\Core\Scene\SettingHints;
use PlainLedger\Core\Scene\TypedSettings;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\ValueType;
use PlainLedger\Core\Text\PlainSentence;

/** The sheet on which a scene is typed in off the screen: what is asked, in the order it is usually read. */
final readonly class EntryPage
{
    /** Which line a field is told for. */
    private const LINE = [
        RequirementId::PICTURE_SCALE => RequirementId::PICTURE_RESOLUTION,
        RequirementId::TIME_EXTENT => RequirementId::TIME_RANGE,
        RequirementId::TIME_STEP => RequirementId::TIME_RANGE,
        'time.timeline' => RequirementId::TIME_RANGE,
        'camera.chosen' => RequirementId::CAMERA_NAME,
        'camera.all' => RequirementId::CAMERA_SINGLE,
        'camera.views' => RequirementId::CAMERA_SINGLE,
    ];

    private const EXAMPLES = [
        'camera.chosen' => 'cam_quay',
        'camera.all' => 'cam_quay, cam_wide',
        'camera.views' => 'top, working',
        'time.timeline' => '990-1110',
        'passes' => 'beauty=yes, mist=no',
        RequirementId::SCENE_SAVED => 'yes',
        'scene.file' => 'TC_010_light_v003',
        'scene.project_folder' => 'tide_clock',
        RequirementId::NAMING_PATTERN => 'TC_010_v003.####.exr',
        RequirementId::OUTPUT_FOLDER => 'renders/TC_010',
    ];

    /** @return list<string> the parts that a scene can make */
    public static function parts(Deliverable $deliverable): array
    {
        return array_map(static fn (Part $p): string => $p->name, $deliverable->draft()->specification->parts);
    }

    /**
     * @param  string|null  $chosen  the part that is typed in, of several; null: the first
     * @return array{parts: list<string>, part: string|null, rows: list<array<string, mixed>>,
     *   typed: array<string, string>}
     */
    public static function of(Deliverable $deliverable, ?string $chosen = null): array
    {
        $asked = $deliverable->draft()->specification;
        $parts = self::parts($deliverable);
        $own = count($parts) > 1 ? $chosen ?? $parts[0] : null;
        $requirements = self::requirements($asked, $own);
        $labels = FieldNames::offered();
        $rows = [];
        foreach (self::fields($asked, $own, $requirements) as $field) {
            $rows[] = self::row($field, $labels[$field] ?? null, $requirements);
        }

        return ['parts' => $parts, 'part' => $own, 'rows' => $rows, 'typed' => self::typed($deliverable, $asked, $own)];
    }

    /** @return array<string, Requirement> of the part, or of all, by id */
    private static function requirements(Specification $asked, ?string $own): array
    {
        $requirements = [];
        foreach ($asked->parts as $part) {
            if ($own === null || $own === $part->name) {
                $requirements += $part->requirements;
            }
        }

        return $requirements;
    }

    /**
     * @param  array<string, Requirement>  $requirements
     * @return list<string>
     */
    private static function fields(Specification $asked, ?string $own, array $requirements): array
    {
        return [
            ...SettingsTemplate::ids($asked, $own),
            ...(isset($requirements[RequirementId::OUTPUT_FOLDER]) ? ['scene.project_folder'] : []),
            ...(isset($requirements[RequirementId::SCENE_SAVED]) ? [RequirementId::SCENE_SAVED] : []),
        ];
    }

    /**
     * @param  array<string, Requirement>  $requirements
     * @return array<string, mixed>
     */
    private static function row(string $field, ?string $label, array $requirements): array
    {
        $line = isset($requirements[$field]) ? $field : self::LINE[$field] ?? $field;
        $requirement = $requirements[$line] ?? null;
        $descriptor = Catalogue::standard()->find($field);
        $isOwn = $line === $field || $field === 'camera.chosen';

        return [
            'field' => $field,
            'line' => $line,
            'group' => self::group($descriptor, $requirement),
            'required' => $isOwn ? $requirement?->required() : null,
            'level' => $requirement?->level->value,
            'words' => self::words($field, $requirement),
        ] + self::described($field, $label, $descriptor);
    }

    /** @return array<string, mixed> */
    private static function described(string $field, ?string $label, ?Descriptor $descriptor): array
    {
        return [
            'label' => $label ?? $descriptor->label ?? $field,
            'example' => self::EXAMPLES[$field] ?? $descriptor->accepts->example ?? '',
            'where' => $descriptor === null ? null : SettingHints::of($descriptor),
        ];
    }

    private static function group(?Descriptor $descriptor, ?Requirement $requirement): ?string
    {
        $group = $descriptor->group ?? $requirement->descriptor->group ?? null;

        return $group?->value;
    }

    /** @return array<string, string> what was typed, or brought otherwise, the last time */
    private static function typed(Deliverable $deliverable, Specification $asked, ?string $own): array
    {
        $last = $deliverable->scenes()->latest('id')->first()?->settings();
        $settings = $own === null || $last === null ? $last : SceneParts::of($last, $asked)[$own] ?? null;

        return $settings === null ? [] : TypedSettings::of($settings);
    }

    /** @return list<string> what it can be, where that is a matter of a few words */
    private static function words(string $field, ?Requirement $requirement): array
    {
        $descriptor = Catalogue::standard()->find($field);

        return match (true) {
            $field === RequirementId::SCENE_SAVED => ['yes', 'no'],
            $descriptor === null => [],
            $descriptor->type === ValueType::OnOff => ['on', 'off'],
            $descriptor->type === ValueType::YesNo => ['yes', 'no'],
            $descriptor->type === ValueType::Word => array_slice($descriptor->accepts->words, 0, 20),
            $descriptor->type === ValueType::Passes
                && $requirement !== null => [
                    implode(', ', array_map(static fn (string $p): string => "{$p}=yes", $requirement->value->values)),
                ],
            default => [],
        };
    }

    /**
     * How what is typed stands, and nothing kept.
     *
     * @param  array<string, string>  $typed
     * @param  string|null  $part  the part that is typed in, of several
     * @return array<string, mixed>
     */
    public static function attempt(Deliverable $deliverable, array $typed, ?string $part = null): array
    {
        $pairs = [];
        foreach (array_filter($typed, static fn (string $value): bool => $value !== '') as $field => $value) {
            $pairs[] = [$field, $value];
        }
        try {
            $scene = NamedValues::understood($pairs)->understood();
            $scene = $part === null ? $scene : $scene->making($part);
            $waivers = Waiver::holding($deliverable);
            $document = CheckReport::of($deliverable->resolved(), $scene, null, $waivers)->toArray();
        } catch (PlainSentence $refused) {
            return [
                'lines' => [], 'faults' => [], 'understood' => [], 'causes' => [], 'comesTo' => [], 'verdict' => 'open',
                'fault' => $refused->getMessage(),
            ];
        }
        /** @var list<array<string, mixed>> $entries */
        $entries = $document['entries'];

        return [
            'lines' => (object) self::lines($entries, $part),
            'faults' => (object) self::faults($scene),
            'understood' => (object) array_filter(
                TypedSettings::of($scene),
                static fn (string $t, string $f): bool => isset($typed[$f]) && $typed[$f] !== $t,
                ARRAY_FILTER_USE_BOTH,
            ),
            'causes' => array_map(
                static fn (array $c): array => ['says' => $c['says'], 'explains' => $c['explains']],
                is_array($document['causes']) ? $document['causes'] : [],
            ),
            'comesTo' => is_array($document['scene']) ? $document['scene']['comes_to'] : [],
            'verdict' => $document['verdict'],
            'fault' => null,
        ];
    }

    /**
     * Of several parts the one that does not balance is told.
     *
     * @param  list<array<string, mixed>>  $entries
     * @return array<string, array<string, mixed>> by id
     */
    private static function lines(array $entries, ?string $part): array
    {
        $lines = [];
        foreach ($entries as $entry) {
            $id = (string) $entry['id'];
            $isTold = isset($lines[$id]) && $lines[$id]['mark'] !== 'equal';
            if (! $isTold && ($part === null || $part === $entry['part'])) {
                $lines[$id] = [
                    'mark' => $entry['mark'],
                    'found' => $entry['scene']['found'] ?? null,
                    'required' => $entry['required'],
                ];
            }
        }

        return $lines;
    }

    /** @return array<string, string> why a value was not understood, by field */
    private static function faults(SceneSettings $scene): array
    {
        $faults = [];
        foreach ($scene->misread->unknown as $unknown) {
            $faults[$unknown->field ?? $unknown->name] = $unknown->why
                ?? "“{$unknown->value}” is no word known here for this.";
        }

        return $faults;
    }
}
