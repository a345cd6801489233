<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Timecode;

/** Frames, time and timecode at one rate, and what they are at another (SMPTE ST 12-1 for timecode). */
final readonly class Lengths implements Calculation
{
    public function word(): string
    {
        return 'lengths';
    }

    public function title(): string
    {
        return 'Frames, time and timecode';
    }

    public function fields(): array
    {
        return [
            new Field('length', 'Length', '240, 10 s or 00:00:10:00', '240'),
            new Field('rate', 'at, frames a second', '24', '24'),
            new Field('other', 'and at', '25', '25'),
        ];
    }

    public function work(Inputs $given): array
    {
        $rate = $given->rate('rate');
        $frames = $rate === null ? null : $given->length('length', $rate);
        if ($rate === null || $frames === null) {
            return [];
        }
        $seconds = BigRational::of($frames)->dividedBy($rate->value);
        $results = [
            new Result(
                'frames',
                (string) $frames,
                $given->text('length') === (string) $frames ? 'as given' : "length × {$rate}",
            ),
            new Result('time', Fraction::decimal($seconds, 6).' s', "{$frames} ÷ {$rate}"),
            new Result(
                'timecode',
                (string) Timecode::fromFrames($frames, $rate),
                "frames counted by {$rate->nominalWhole()}",
            ),
        ];
        if ($rate->hasDropFrame()) {
            $results[] = new Result(
                'timecode, drop-frame',
                (string) Timecode::fromFrames($frames, $rate, true),
                'the first '.intdiv($rate->nominalWhole(), 15).' numbers of a minute left out, but of every tenth',
            );
        }
        $other = $given->rate('other');

        return $other === null ? $results : [...$results, ...self::other($frames, $seconds, $rate, $other)];
    }

    /** @return list<Result> */
    private static function other(int $frames, BigRational $seconds, FrameRate $rate, FrameRate $other): array
    {
        $exact = $seconds->multipliedBy($other->value)->simplified();
        $whole = $exact->toScale(0, RoundingMode::HALF_UP)->toInt();
        $note = $exact->getDenominator()->isEqualTo(1) ? '' : ', rounded from '.Fraction::decimal($exact, 3);

        return [
            new Result("as long, at {$other->spoken()}", "{$whole} frames", "{$frames} × {$other} ÷ {$rate}{$note}"),
            new Result(
                "as many, at {$other->spoken()}",
                Fraction::decimal(BigRational::of($frames)->dividedBy($other->value), 6).' s',
                "{$frames} ÷ {$other}",
            ),
        ];
    }
}
