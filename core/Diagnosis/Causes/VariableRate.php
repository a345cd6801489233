<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;

/** `variable-rate`: pictures of one movie that stand for different times. */
final readonly class VariableRate implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $timing = MovieFound::in($situation)?->facts->movie?->picture->timing;
        if ($timing === null || $timing->isConstant !== false || ! $situation->inFiles(RequirementId::TIME_RATE)) {
            return;
        }
        $which = $timing->uneven === null || $timing->uneven->isEmpty()
            ? ''
            : " Not so long as the others stand pictures {$timing->uneven}.";
        $asked = $situation->asked(RequirementId::TIME_RATE);
        yield Finding::of(
            CauseId::VariableRate,
            Side::Files,
            "The pictures do not all stand for the same time.{$which}",
            ['durations in the table of times differ by more than one tick'],
            [RequirementId::TIME_RATE, RequirementId::TIME_DURATION],
            EntryFix::of($situation, RequirementId::TIME_RATE, 'a constant frame rate of', $asked)->fixes,
        );
    }
}
