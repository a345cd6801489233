<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Take;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;

/** Asks every kind of facts among a part's whole frames once, and makes one cell of the answers. */
final readonly class FactSurvey
{
    /**
     * @param  \Closure(MediaFacts, Take): (array{string|null, bool}|null)  $ask  what is found and whether it is equal; a
     *                                                                            found null could not be read; null where such a file cannot hold the fact
     */
    public static function cell(Subject $subject, \Closure $ask): ?Cell
    {
        $marks = [];
        $frames = [];
        $counts = [];
        $wrong = [];
        $differing = [];
        $any = false;
        foreach ($subject->match->passes ?? [] as $p => $pass) {
            $relevant = $pass->relevant();
            foreach ($pass->frames->alike as $alike) {
                $own = $alike->frames->and($relevant);
                if ($own->isEmpty()) {
                    continue;
                }
                $any = true;
                $answer = $alike->facts->isWhole() ? $ask($alike->facts, $pass->takes[$alike->take]) : null;
                if ($answer === null) {
                    continue;
                }
                [$found, $equal] = $answer;
                $mark = $found === null ? Mark::Unknown : ($equal ? Mark::Equal : Mark::Unequal);
                $marks[$mark->value] = $mark;
                if ($found !== null) {
                    $counts[$found] = ($counts[$found] ?? 0) + count($own);
                    $frames[$found][$p] = ($frames[$found][$p] ?? FrameRange::none())->plus($own);
                }
                if ($mark === Mark::Unequal) {
                    $differing[(string) $found] = ($differing[(string) $found] ?? 0) + count($own);
                    $wrong[$p] = ($wrong[$p] ?? FrameRange::none())->plus($own);
                }
            }
        }
        if ($marks === []) {
            // files are there and none could be read
            return $any && self::noneWhole($subject) ? Cell::unknown() : null;
        }
        arsort($counts);
        $commonest = array_key_first($counts);
        $runs = [];
        foreach (array_slice(array_keys($counts), 1, 200) as $found) {
            foreach ($frames[$found] as $set) {
                $runs[] = ['frames' => (string) $set, 'found' => (string) $found];
            }
        }

        arsort($differing);
        $worst = $differing === [] ? null : (string) array_key_first($differing);

        return Cell::of(
            Mark::together(...array_values($marks)),
            $commonest === null ? null : (string) $commonest,
            $runs,
            $wrong,
            $worst,
            $commonest === null ? 1 : $counts[$commonest],
        );
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
