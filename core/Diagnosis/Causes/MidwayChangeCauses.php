<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Rules\ContentRules;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `settings-changed-midway` and `two-takes-mixed`: a fact that is one thing in some frames and another in the rest. */
final readonly class MidwayChangeCauses implements CauseFamily
{
    /** What a fact is called, and the lines it decides. */
    public const LINES = [
        'size' => [RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_DISPLAY_ASPECT],
        'pixel aspect' => [RequirementId::PICTURE_PIXEL_ASPECT, RequirementId::PICTURE_DISPLAY_ASPECT],
        'region' => [RequirementId::PICTURE_REGION],
        'format' => [RequirementId::FORMAT_KIND, RequirementId::FORMAT_COMPRESSION, RequirementId::NAMING_PATTERN],
        'depth' => [RequirementId::FORMAT_BIT_DEPTH, RequirementId::FORMAT_SAMPLE],
        'channels' => [RequirementId::FORMAT_CHANNELS, RequirementId::FORMAT_ALPHA, RequirementId::PASSES],
        'compression' => [RequirementId::FORMAT_COMPRESSION],
        'camera' => [RequirementId::CAMERA_NAME],
        'rate' => [RequirementId::TIME_RATE],
        'quality' => [RequirementId::FORMAT_QUALITY],
        'chroma' => [RequirementId::FORMAT_CHROMA],
        'density' => [RequirementId::PICTURE_DENSITY],
    ];

    public function find(Situation $situation): iterable
    {
        $changes = [];
        $mixed = [];
        foreach ($situation->passes() as $pass) {
            foreach ($this->runs($pass) as $fact => $runs) {
                if (count($runs) < 2 || ! $this->isWrong($situation, $fact)) {
                    continue;
                }
                $values = array_values(array_unique(array_column($runs, 1)));
                if (count($runs) === 2 && $runs[1][2] > 1) {
                    $changes[$runs[1][0]][$fact] = [$runs[0][1], $runs[1][1]];
                } elseif (count($values) === 2 && self::isInterleaved($runs) && ! ResavedLater::isSeenIn($pass)) {
                    $mixed[$fact] = $values;
                }
            }
        }
        foreach ($changes as $from => $facts) {
            yield $this->changed($from, $facts);
        }
        if ($mixed !== []) {
            yield $this->mixed($mixed);
        }
    }

    /** Whether a line that a fact decides is unequal; a region that nobody asks for may change. */
    private function isWrong(Situation $situation, string $fact): bool
    {
        $lines = array_filter([...self::LINES[$fact], RequirementId::CONTENT_UNIFORM], $situation->inFiles(...));

        return $lines !== [] && ($fact !== 'region' || $situation->inFiles(RequirementId::PICTURE_REGION));
    }

    /** @param  array<string, array{string, string}>  $facts  before and after */
    private function changed(int $from, array $facts): Finding
    {
        $says = [];
        foreach ($facts as $fact => [$before, $after]) {
            $says[] = "{$fact} {$before} becomes {$after}";
        }

        return Finding::of(
            CauseId::SettingsChangedMidway,
            Side::Files,
            "The settings changed at frame {$from}: ".implode(', ', $says).', and it stays so.',
            [
                "before {$from}: ".implode(', ', array_column($facts, 0)),
                "from {$from} on: ".implode(', ', array_column($facts, 1)),
            ],
            $this->lines($facts),
        )->rendering();
    }

    /** @param  array<string, list<string>>  $mixed */
    private function mixed(array $mixed): Finding
    {
        $says = [];
        foreach ($mixed as $fact => $values) {
            $says[] = "{$fact} ".implode(' or ', $values);
        }

        return Finding::of(
            CauseId::TwoTakesMixed,
            Side::Files,
            'Frames of two takes are mixed: '.implode(', ', $says).', back and forth.',
            $says,
            $this->lines($mixed),
        )->rendering();
    }

    /**
     * To and fro at least twice, with two frames or more of either; one odd frame is no take.
     *
     * @param  non-empty-list<array{int, string, int}>  $runs
     */
    private static function isInterleaved(array $runs): bool
    {
        $frames = [];
        foreach ($runs as [, $value, $many]) {
            $frames[$value] = ($frames[$value] ?? 0) + $many;
        }

        return count($runs) >= 3 && min($frames) >= 2;
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return list<string>
     */
    private function lines(array $facts): array
    {
        $lines = [RequirementId::CONTENT_UNIFORM];
        foreach (array_keys($facts) as $fact) {
            $lines = [...$lines, ...self::LINES[$fact]];
        }

        return array_values(array_unique($lines));
    }

    /**
     * @return array<string, list<array{int, string, int}>> for each fact, where it becomes what among the whole
     *   frames, and for how many
     */
    private function runs(PassMatch $pass): array
    {
        $table = array_map(
            self::facts(...),
            array_filter($pass->frames->table(), static fn (MediaFacts $f): bool => $f->isWhole()),
        );
        if (count($table) < 2) {
            return [];
        }
        $relevant = $pass->relevant();
        $runs = [];
        $last = [];
        $before = null;
        $same = 0;
        foreach ($pass->frames->numbers as $i => $number) {
            $id = $pass->frames->facts[$i];
            if (! isset($table[$id]) || ! $relevant->contains($number)) {
                continue;
            }
            if ($id === $before) {
                $same++;

                continue;
            }
            $runs = self::lengthened($runs, $same);
            [$before, $same] = [$id, 1];
            foreach ($table[$id] as $fact => $value) {
                if (! isset($last[$fact]) || $last[$fact] !== $value) {
                    $runs[$fact][] = [$number, $value, 0];
                    $last[$fact] = $value;
                }
            }
        }

        return self::lengthened($runs, $same);
    }

    /**
     * The last run of each fact went on for so many frames.
     *
     * @param  array<string, list<array{int, string, int}>>  $runs
     * @return array<string, list<array{int, string, int}>>
     */
    private static function lengthened(array $runs, int $frames): array
    {
        foreach ($runs as $fact => $ofFact) {
            [$from, $value, $many] = array_pop($ofFact) ?? [0, '', 0];
            $runs[$fact] = [...$ofFact, [$from, $value, $many + $frames]];
        }

        return $runs;
    }

    /** @return array<string, string> */
    public static function facts(MediaFacts $facts): array
    {
        return ContentRules::shared($facts) + [
            'pixel aspect' => $facts->picture->pixelAspect instanceof BigRational
                ? Fraction::writeFull($facts->picture->pixelAspect)
                : '',
            'region' => $facts->picture->region ?? '',
            'camera' => $facts->labels->camera ?? '',
            'rate' => (string) $facts->timing->rate,
            'quality' => (string) $facts->encoding->quality,
            'chroma' => $facts->encoding->chroma ?? '',
            'density' => (string) $facts->picture->density,
        ];
    }
}
