<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Remedy\Fix;

/** `speed-changed`: the animation is as long after its speed was set as it was not before. */
final readonly class SpeedChanged implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        $set = $situation->scene()?->get('time.speed');
        if ($set === null || ! $situation->inScene('time.speed')) {
            return;
        }
        $speed = Fraction::parse($set);
        if ($speed->isEqualTo(1) || $speed->isLessThanOrEqualTo(0)) {
            return;
        }
        $asked = $situation->entry('time.speed')->required ?? '1/1';
        yield new Finding('speed-changed', 'scene', 'The animation is played at '.Fraction::decimal($speed->multipliedBy(100)).' % of its speed, so it comes out '.($speed->isLessThan(1) ? 'longer' : 'shorter').' than it was made.', ["time.speed is {$set}"], ['time.speed'],
            [Fix::set($situation->part(), 'time.speed', 'the speed', $set, $asked, $asked === '1/1' ? 'Set the length after equal to the length before, so that the speed is 1/1.' : null)]);
    }
}
