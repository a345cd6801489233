<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Media\MediaFacts;

/** Asks every kind of facts among a part's whole frames once, and makes one cell of the answers. */
final readonly class FactSurvey
{
    /**
     * @param  \Closure(MediaFacts, Take): (array{string|null, bool}|null)  $ask  what is found and whether it is equal;
     *                                                                            a found null could not be read; null
     *                                                                            where such a file cannot hold the fact
     */
    public static function cell(Subject $subject, \Closure $ask): ?Cell
    {
        $tally = new Tally;
        $any = false;
        foreach ($subject->match->passes ?? [] as $place => $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->frames->alike as $alike) {
                $own = $alike->frames->and($relevant);
                $any = $any || ! $own->isEmpty();
                $asked = ! $own->isEmpty() && $alike->facts->isWhole();
                $answer = $asked ? $ask($alike->facts, $pass->takes[$alike->take]) : null;
                if ($answer !== null) {
                    $tally->add($answer[0], $answer[1], $place, $own);
                }
            }
        }
        if ($tally->isEmpty()) {
            // files are there and none could be read
            return $any && self::noneWhole($subject) ? Cell::unknown() : null;
        }

        return $tally->cell();
    }

    private static function noneWhole(Subject $subject): bool
    {
        foreach ($subject->match->passes ?? [] as $pass) {
            if (count($pass->damaged) < $pass->frames->count()) {
                return false;
            }
        }

        return true;
    }
}
