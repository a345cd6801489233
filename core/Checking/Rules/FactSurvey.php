<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\AlikeFrames;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
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
            foreach (self::relevant($pass) as [$alike, $frames]) {
                $any = true;
                $answer = $alike->facts->isWhole() ? $ask($alike->facts, $pass->takes[$alike->take]) : null;
                if ($answer !== null) {
                    $tally->add($answer[0], $answer[1], $place, $frames);
                }
            }
        }
        if ($tally->isEmpty()) {
            // files are there and none could be read
            return $any && self::noneWhole($subject) ? Cell::unknown() : null;
        }

        return $tally->cell();
    }

    /** @return iterable<array{AlikeFrames, FrameRange}> frames that say the same, and which of them are asked for */
    private static function relevant(PassMatch $pass): iterable
    {
        $relevant = $pass->relevant();
        foreach ($pass->frames->alike as $alike) {
            $frames = $alike->frames->and($relevant);
            if (! $frames->isEmpty()) {
                yield [$alike, $frames];
            }
        }
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
