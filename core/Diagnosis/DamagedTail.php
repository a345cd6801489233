<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\FrameRange;

/** The damaged frames with which a sequence ends: what a render leaves behind that was broken off. */
final readonly class DamagedTail
{
    /** @return list<int> ascending */
    public static function of(PassMatch $pass): array
    {
        $tail = [];
        for ($i = $pass->frames->count() - 1; $i >= 0 && ! $pass->frames->factsAt($i)->isWhole(); $i--) {
            if ($pass->expected === null || $pass->expected->contains($pass->frames->numbers[$i])) {
                array_unshift($tail, $pass->frames->numbers[$i]);
            }
        }

        return $tail;
    }

    /** @return list<string> */
    public static function evidence(PassMatch $pass, FrameRange $tail): array
    {
        $at = $pass->frames->place($tail->first());

        return [
            "frame {$tail->first()}: ".(
                $at === null ? 'not whole' : $pass->frames->factsAt($at)->wholeness->reason ?? 'not whole'
            ),
        ];
    }
}
