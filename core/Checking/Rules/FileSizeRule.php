<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
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
        $largest = null;
        $wrong = [];
        $worst = null;
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            $over = [];
            $relevant = $pass->relevant();
            foreach ($pass->frames->sizes as $i => $size) {
                if (! $relevant->contains($pass->frames->numbers[$i])) {
                    continue;
                }
                $largest = max($largest ?? 0, $size);
                if (! $requirement->value->admitsNumber((string) $size)) {
                    $over[] = $pass->frames->numbers[$i];
                    $worst = max($worst ?? 0, $size);
                }
            }
            if ($over !== []) {
                $wrong[$p] = FrameRange::fromNumbers($over);
            }
        }
        if ($largest === null) {
            return null;
        }
        $runs = [];
        foreach ($subject->isNumbered() ? $wrong : [] as $frames) {
            $runs[] = ['frames' => (string) $frames, 'found' => 'not within'];
        }

        return Cell::of($wrong === [] ? Mark::Equal : Mark::Unequal, (string) ($worst ?? $largest), $runs, $wrong);
    }
}
