<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `time.start_timecode`: of frames that of the first asked, where headers tell it, drop-frame flag included. */
final readonly class StartTimecodeRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::TIME_START_TIMECODE;
    }

    public function scene(Requirement $requirement, Subject $subject): ?Cell
    {
        return null;
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return $subject->part->delivers->isMovie()
            ? self::ofMovie($requirement, $subject)
            : self::ofFrames($requirement, $subject);
    }

    private static function ofMovie(Requirement $requirement, Subject $subject): ?Cell
    {
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
            $found = $facts->movie->startTimecode ?? 'none';

            return $facts->movie === null ? null : [$found, in_array($found, $requirement->value->values, true)];
        });
    }

    private static function ofFrames(Requirement $requirement, Subject $subject): ?Cell
    {
        $pass = $subject->onlyPass();
        $told = $pass === null ? null : self::first($pass);
        if ($pass === null || $told === null) {
            return null;
        }
        [$frame, $timecode] = $told;
        $found = self::atStart($timecode, $frame, $subject) ?? $timecode;
        $equal = in_array($found, $requirement->value->values, true);
        $place = (int) array_key_first($subject->match->passes ?? []);

        return Cell::of($equal ? Mark::Equal : Mark::Unequal, $found, [], $equal ? [] : [$place => $pass->relevant()]);
    }

    /** @return array{int, string}|null the first whole frame that tells one, and what it tells */
    private static function first(PassMatch $pass): ?array
    {
        foreach ($pass->frames->numbers as $i => $number) {
            $timecode = $pass->frames->timecodeAt($i);
            if ($timecode !== null && $pass->frames->factsAt($i)->isWhole()) {
                return [$number, $timecode];
            }
        }

        return null;
    }

    /** That of the first frame asked, counted back from the one that is there; null where no rate is known. */
    private static function atStart(string $timecode, int $frame, Subject $subject): ?string
    {
        $first = $subject->expected?->first();
        $rate = $subject->part->single(RequirementId::TIME_RATE);
        if ($first === null || $first === $frame) {
            return $timecode;
        }
        try {
            return $rate === null
                ? null
                : (string) Timecode::parse($timecode, FrameRate::parse($rate))->plus($first - $frame);
        } catch (NotUnderstood) {
            return null;
        }
    }
}
