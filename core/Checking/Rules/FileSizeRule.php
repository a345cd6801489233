<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\RangeBuilder;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `format.file_size`: each file within the cap. What is found is the largest. */
final readonly class FileSizeRule implements Rule
{
    /** Sizes of which it is known whether they are within. */
    private const MOST_KEPT = 10_000;

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
        [$largest, $wrong] = [null, []];
        foreach ($subject->match->passes ?? [] as $place => $pass) {
            [$most, $over] = self::over($pass, $requirement);
            $largest = $most === null ? $largest : max($largest ?? 0, $most);
            $wrong += $over->isEmpty() ? [] : [$place => $over];
        }
        if ($largest === null) {
            return null;
        }
        $runs = array_map(
            static fn (FrameRange $frames): array => ['frames' => (string) $frames, 'found' => 'not within'],
            $subject->isNumbered() ? array_values($wrong) : [],
        );

        return Cell::of(Mark::when($wrong === []), (string) $largest, $runs, $wrong);
    }

    /** @return array{int|null, FrameRange} bytes of the largest; the frames that are not within */
    private static function over(PassMatch $pass, Requirement $requirement): array
    {
        $largest = null;
        $over = new RangeBuilder;
        $isWithin = [];
        foreach (self::relevantSizes($pass) as $frame => $size) {
            $largest = max($largest ?? 0, $size);
            if (! ($isWithin[$size] ??= $requirement->value->admitsNumber((string) $size))) {
                $over->add($frame);
            }
            $isWithin = count($isWithin) > self::MOST_KEPT ? [] : $isWithin;
        }

        return [$largest, $over->range()];
    }

    /** @return \Generator<int, int> bytes by frame, of those that count */
    private static function relevantSizes(PassMatch $pass): \Generator
    {
        $relevant = $pass->relevant();
        foreach ($pass->frames->numbers as $i => $frame) {
            if ($relevant->contains($frame)) {
                yield $frame => $pass->frames->sizes[$i];
            }
        }
    }
}
