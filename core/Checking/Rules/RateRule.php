<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementId;

/** `time.rate`: exact fractions; in frames only where a header tells one, in a movie constant too. */
final readonly class RateRule implements Rule
{
    public function answers(string $id): bool
    {
        return $id === RequirementId::TIME_RATE;
    }

    public function scene(Requirement $requirement, Subject $subject): Cell
    {
        $rate = $subject->scene?->get(RequirementId::TIME_RATE);
        if ($subject->scene === null || $rate === null) {
            return Cell::unknown();
        }
        $made = $subject->scene->get('time.animation_rate');
        $same = $made === null || $made === $rate;

        return Cell::when(
            $same && in_array($rate, $requirement->value->values, true),
            $same ? $rate : "{$rate}, made at {$made}",
        );
    }

    public function files(Requirement $requirement, Subject $subject): ?Cell
    {
        return FactSurvey::cell($subject, static function (MediaFacts $facts) use ($requirement): ?array {
            if ($facts->timing->rate === null) {
                return $facts->kind?->isMovie() === true ? [null, false] : null;
            }

            $isConstant = $facts->movie?->picture->timing->isConstant !== false;

            return [
                $facts->timing->rate.($isConstant ? '' : ', not constant'),
                $isConstant && in_array((string) $facts->timing->rate, $requirement->value->values, true),
            ];
        });
    }
}
