<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\RequirementId;

/** `speed-changed`: the animation is as long after its speed was set as it was not before. */
final readonly class SpeedChanged implements CauseFamily
{
    public function find(Situation $situation): iterable
    {
        yield from $this->otherRate($situation);
        $set = $situation->told(RequirementId::TIME_SPEED);
        if ($set === null || ! $situation->inScene(RequirementId::TIME_SPEED) || Fraction::parse($set)->isEqualTo(1)) {
            return;
        }
        $asked = $situation->entry(RequirementId::TIME_SPEED)->required ?? '1/1';
        $says = $asked === '1/1' ? 'Set the length after equal to the length before, so that the speed is 1/1.' : null;
        yield Finding::of(
            CauseId::SpeedChanged,
            Side::Scene,
            "The speed is changed: the length after and the length before are {$set}, and {$asked} is asked.",
            ["time.speed is {$set}"],
            [RequirementId::TIME_SPEED],
            [Fix::set($situation->part(), RequirementId::TIME_SPEED, 'the speed', $set, $asked, $says)],
        );
    }

    /**
     * The animation made at one rate and put out at another.
     *
     * @return iterable<Finding>
     */
    private function otherRate(Situation $situation): iterable
    {
        $rate = $situation->told(RequirementId::TIME_RATE);
        $made = $situation->told('time.animation_rate');
        if ($rate === null || $made === null || $rate === $made || ! $situation->inScene(RequirementId::TIME_RATE)) {
            return;
        }
        $asked = $situation->entry(RequirementId::TIME_RATE)?->requirement->value->single() ?? $rate;
        $spoken = static fn (string $text): string => FrameRate::parse($text)->spoken();
        $set = static fn (string $id, string $label, string $from): array => $from === $asked
            ? []
            : [Fix::set($situation->part(), $id, $label, $from, $asked)];
        yield Finding::of(
            CauseId::SpeedChanged,
            Side::Scene,
            "The animation is made at {$spoken($made)} frames a second and put out at {$spoken($rate)}: it "
                .'would play at another speed than it was made.',
            ["time.rate is {$rate}", "the animation's own rate is {$made}"],
            [RequirementId::TIME_RATE],
            [
                ...$set(RequirementId::TIME_RATE, 'the frame rate', $rate),
                ...$set('time.animation_rate', 'the animation’s own rate', $made),
            ],
        );
    }
}
