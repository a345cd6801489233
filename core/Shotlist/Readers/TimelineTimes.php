<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;

/** Times and ranges of a timeline (OpenTimelineIO's RationalTime and TimeRange), in exact seconds. */
final class TimelineTimes
{
    private const MOST_RATES = 200;

    private const LATEST = 1e12;

    private const LONGEST_OFFSET = 100_000;

    /**
     * @var array<array-key, FrameRate|null> every clip names its rate several times over, and a float takes long to
     *   read exactly
     */
    private array $rates = [];

    /** @return array{BigRational, BigRational, FrameRate}|null from, to (exclusive), both in seconds, and the rate */
    public function range(mixed $data): ?array
    {
        $start = is_array($data) ? $this->time($data['start_time'] ?? null) : null;
        $long = is_array($data) ? $this->time($data['duration'] ?? null) : null;
        if ($start === null || $long === null || $long[0]->isNegative()) {
            return null;
        }

        return [$start[0], $start[0]->plus($long[0])->simplified(), $start[1]];
    }

    /** @return array{BigRational, FrameRate}|null seconds and the rate they were counted at */
    public function time(mixed $data): ?array
    {
        $value = self::number($data, 'value');
        $told = self::number($data, 'rate');
        $rate = $told === null ? null : $this->rate((float) $told);
        if ($value === null || $rate === null || abs($value) > self::LATEST) {
            return null;
        }
        $exact = is_int($value) ? BigRational::of($value) : Fraction::fromFloat($value, 53);

        return [$exact->dividedBy($rate->value)->simplified(), $rate];
    }

    private static function number(mixed $data, string $key): int|float|null
    {
        $number = is_array($data) ? $data[$key] ?? null : null;

        return is_int($number) || (is_float($number) && is_finite($number)) ? $number : null;
    }

    /**
     * Frames by which a transition reaches into what stands beside it.
     *
     * @param  array<mixed>  $transition
     * @param  array<mixed>  $beside
     */
    public function offset(array $transition, string $key, array $beside): int
    {
        $time = $this->time($transition[$key] ?? null);
        if ($time === null) {
            return 0;
        }
        $rate = $this->range($beside['source_range'] ?? null)[2] ?? $time[1];
        $frames = $time[0]->multipliedBy($rate->value)->toScale(0, RoundingMode::HALF_UP)->toInt();

        return max(0, min(self::LONGEST_OFFSET, $frames));
    }

    /** The nearest frame. */
    public static function frame(BigRational $seconds, FrameRate $rate): int
    {
        return $seconds->multipliedBy($rate->value)->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    public static function isOnFrame(BigRational $seconds, FrameRate $rate): bool
    {
        return $seconds->multipliedBy($rate->value)->simplified()->getDenominator()->isEqualTo(1);
    }

    private function rate(float $told): ?FrameRate
    {
        if (count($this->rates) > self::MOST_RATES) {
            $this->rates = [];
        }

        return $this->rates[(string) $told] ??= FrameRate::fromFloat($told);
    }
}
