<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Subject;

/** Which pass is the picture itself: one that is called so, else the first. */
final readonly class ColourPass
{
    private const NAMES = ['beauty', 'rgb', 'rgba', 'colour', 'color', 'combined', 'main', 'master', 'final'];

    /** Its place among the passes; null where there are none. */
    public static function placeIn(Subject $subject): ?int
    {
        $passes = $subject->match->passes ?? [];
        foreach ($passes as $place => $pass) {
            if (in_array(strtolower($pass->pass ?? ''), self::NAMES, true)) {
                return $place;
            }
        }

        return array_key_first($passes);
    }
}
