<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\EntryFix;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\RequirementId;

/** `rate-of-another-standard`: 1000/1001 apart, or one standard's rate for another's. */
final readonly class RateOfAnotherStandard implements CauseFamily
{
    private const STANDARD = [24, 25, 30, 48, 50, 60];

    public function find(Situation $situation): iterable
    {
        $entry = $situation->entry(RequirementId::TIME_RATE);
        $found = $situation->found(RequirementId::TIME_RATE);
        if ($entry === null || $found === null || ! $situation->isUnequal(RequirementId::TIME_RATE)) {
            return;
        }
        $found = (string) preg_replace('~, not constant$~', '', $found);
        if (preg_match('~^[\d/.]+$~', $found) !== 1) {
            // the rate set is right, and the animation was made at another
            return;
        }
        $asked = FrameRate::parse($entry->requirement->value->single() ?? '24');
        $rate = FrameRate::parse($found);
        if ($rate->equals($asked)) {
            // it is not constant, which is another matter
            return;
        }
        $pulled = $rate->isPulledFrom($asked);
        if (! $pulled && ! ($this->isStandard($rate) && $this->isStandard($asked))) {
            return;
        }
        $side = $situation->side(RequirementId::TIME_RATE);
        yield Finding::of(
            CauseId::RateOfAnotherStandard,
            $side,
            "The rate is {$rate->spoken()}, and {$asked->spoken()} is asked: "
                .($pulled ? 'they are 1000/1001 apart.' : 'the rate of another standard.')
                .($situation->wouldRender($side) ? ' The frames themselves need nothing.' : ''),
            ["time.rate is {$rate}"],
            [RequirementId::TIME_RATE, RequirementId::TIME_DURATION, ...self::lengths($situation)],
            [
                ...EntryFix::of($situation, RequirementId::TIME_RATE, 'the frame rate')->fixes,
                ...self::ofAnimation($situation, $asked),
            ],
        );
    }

    /** @return list<Fix> what was animated at the wrong rate has that to be set too */
    private static function ofAnimation(Situation $situation, FrameRate $asked): array
    {
        $made = $situation->inScene(RequirementId::TIME_RATE) ? $situation->scene()?->get('time.animation_rate') : null;

        return $made === null || FrameRate::parse($made)->equals($asked)
            ? []
            : [Fix::set($situation->part(), 'time.animation_rate', 'the animation’s own rate', $made, (string) $asked)];
    }

    /** @return list<string> lines of a movie whose pictures are as many as the same time takes at the other rate */
    private static function lengths(Situation $situation): array
    {
        $movie = MovieFound::in($situation);
        [$count, $asked] = [$movie?->facts->timing->frameCount, $movie?->askedCount()];

        return $movie !== null && $count !== null && $asked !== null && $movie->isOnlyRate($count, $asked)
            ? [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::CONTENT_SOURCE]
            : [];
    }

    private function isStandard(FrameRate $rate): bool
    {
        foreach (self::STANDARD as $whole) {
            if ($rate->equals(FrameRate::of($whole)) || $rate->equals(FrameRate::of($whole * 1000, 1001))) {
                return true;
            }
        }

        return false;
    }
}
