<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `format.file_size`: each file within the cap. What is found is the largest. */
final readonly class FileSizeRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::FORMAT_FILE_SIZE;
    }

    /** Of a movie: its bit rate by its length, where both are known. */
    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        $rate = $subject->scene?->get(RequirementId::FORMAT_BIT_RATE);
        $seconds = $subject->scene === null ? null : DurationRule::ofScene($subject->scene, $subject);
        if (! $subject->part->delivers->isMovie() || $rate === null || $seconds === null) {
            return null;
        }
        $bytes = (string) BitRate::of((int) $rate)->bytesIn($seconds)->bytes;

        return Cell::when($requirement->value->admitsNumber($bytes), $bytes);
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        $sizes = array_map(self::relevantSizes(...), $subject->match->passes ?? []);
        $all = array_merge(...array_values($sizes));
        if ($all === []) {
            return null;
        }
        $isOver = static fn (int $size): bool => ! $requirement->value->admitsNumber((string) $size);
        $over = array_filter(array_map(static fn (array $own): array => array_filter($own, $isOver), $sizes));
        $wrong = array_map(static fn (array $own): FrameRange => FrameRange::fromNumbers(array_keys($own)), $over);
        $shown = max($over === [] ? $all : array_merge(...array_values($over)));
        $runs = array_map(
            static fn (FrameRange $frames): array => ['frames' => (string) $frames, 'found' => 'not within'],
            $subject->isNumbered() ? array_values($wrong) : [],
        );

        return Cell::of(Mark::when($wrong === []), (string) $shown, $runs, $wrong);
    }

    /** @return array<int, int> bytes by frame, of those that count */
    private static function relevantSizes(PassMatch $pass): array
    {
        $relevant = $pass->relevant();

        return array_filter(
            array_combine($pass->frames->numbers, $pass->frames->sizes),
            static fn (int $frame): bool => $relevant->contains($frame),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
