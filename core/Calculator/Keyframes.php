<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Rules\KeyframeIntervalRule;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;

/** How far keyframes lie apart, and how many there are. */
final readonly class Keyframes implements Calculation
{
    public function word(): string
    {
        return 'keyframes';
    }

    public function title(): string
    {
        return 'Keyframes of a movie';
    }

    public function fields(): array
    {
        return [
            new Field('every', 'A keyframe every', '12, 0.5 s or half the rate', '0.5 s'),
            new Field('rate', 'at, frames a second', '24', '24'),
            new Field('length', 'Length', '240, 10 s or 00:00:10:00', '240'),
        ];
    }

    public function work(Inputs $given): array
    {
        [$every, $rate] = [$given->text('every'), $given->rate('rate')];
        if ($every === null || $rate === null) {
            return [];
        }
        $asked = Catalogue::standard()->find(RequirementId::FORMAT_KEYFRAME_INTERVAL)?->canonical($every) ?? $every;
        $frames = (int) KeyframeIntervalRule::frames($asked, $rate);
        if ($frames < 1) {
            throw NotUnderstood::because('From one keyframe to the next it is one frame at least.');
        }
        $apart = BigRational::of($frames)->dividedBy($rate->value);
        $length = $given->length('length', $rate);
        $results = [
            new Result('frames from one to the next, at most', (string) $frames, "{$every} at {$rate->nominalWhole()}"),
            new Result('that is', Fraction::decimal($apart, 3).' s', "{$frames} ÷ {$rate}"),
        ];
        if ($length !== null) {
            $results[] = new Result(
                'keyframes, at least',
                (string) intdiv($length + $frames - 1, $frames),
                "{$length} ÷ {$frames}, rounded up",
            );
        }

        return $results;
    }
}
