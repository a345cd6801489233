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
     * @param  list<array{id: string, label: string, from: string, to: string}>  $unasked  settings that changed though nobody was asked to
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
        $marks = array_map(self::marks(...), [$now, ...$before]);
        $sets = ['putRight' => [], 'accepted' => [], 'new' => [], 'back' => [], 'still' => []];
        foreach ($marks[0] as $key => $mark) {
            $last = $marks[1][$key] ?? null;
            $ever = array_filter(
                array_slice($marks, 1),
                static fn (array $m): bool => ($m[$key] ?? null) === 'unequal',
            ) !== [];
            $set = match (true) {
                $mark !== 'unequal' => $last !== 'unequal'
                    ? null
                    : ['equal' => 'putRight', 'waived' => 'accepted'][$mark] ?? null,
                $last === 'unequal' => 'still',
                $ever => 'back',
                default => 'new',
            };
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

    public function isNothing(): bool
    {
        return $this->putRight === []
            && $this->accepted === []
            && $this->new === []
            && $this->back === []
            && $this->unasked === [];
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
        foreach (is_array($document['entries'] ?? null) ? $document['entries'] : [] as $entry) {
            if (is_array($entry) && is_string($entry['id'] ?? null) && is_string($entry['mark'] ?? null)) {
                $marks[implode("\t", [$entry['id'], is_string($entry['part'] ?? null) ? $entry['part'] : '', is_string($entry['pass'] ?? null) ? $entry['pass'] : ''])] = $entry['mark'];
            }
        }

        return $marks;
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
        $asked = [];
        foreach (is_array($before['entries'] ?? null) ? $before['entries'] : [] as $entry) {
            // who was told that a line differs, or cannot be read, has been asked to see to it
            if (
                is_array($entry)
                && in_array($entry['mark'] ?? null, ['unequal', 'unknown'], true)
                && is_string($entry['id'] ?? null)
            ) {
                $asked[$entry['id']] = true;
            }
        }
        foreach (is_array($before['fixes'] ?? null) ? $before['fixes'] : [] as $fix) {
            if (is_array($fix) && is_string($fix['id'] ?? null)) {
                $asked[$fix['id']] = true;
            }
        }
        foreach (self::TOGETHER as $group) {
            if (array_intersect($group, array_keys($asked)) !== []) {
                $asked += array_fill_keys($group, true);
            }
        }
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

    /** @return array<string, string> */
    private static function settings(SceneSettings $scene): array
    {
        $settings = $scene->all() + $scene->facts;
        unset($settings[RequirementId::SCENE_SAVED]);
        foreach (['camera.chosen' => $scene->chosenCameras, 'camera.all' => $scene->cameras] as $id => $names) {
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
