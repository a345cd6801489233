<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderPlanning;

use PlainLedger\Core\Measure\Duration;
use PlainLedger\Core\Measure\NotUnderstood;

/**
 * What a frame takes, in whole milliseconds: likely, and within which bounds the mean of many will lie. A single time
 * that was typed is taken as it is; from samples it is a range, the wider the fewer there are.
 */
final readonly class FrameTimes
{
    private const MOST = 100_000_000;

    private function __construct(public int $least, public int $likely, public int $most, public int $samples) {}

    /**
     * One time, or several between commas: `62 s, 1:10, 58`.
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): self
    {
        $times = [];
        foreach (preg_split('~\s*[,;\n]\s*~', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $each) {
            $ms = Duration::parse($each)->seconds(null)
                ->multipliedBy(1000)
                ->toScale(0, \Brick\Math\RoundingMode::HALF_UP)
                ->toInt();
            $times[] = max(1, $ms);
            if (count($times) > 10_000) {
                break;
            }
        }
        if ($times === []) {
            throw NotUnderstood::as('a time for a frame', $text, '62 s, or of several frames: 62 s, 70 s, 58 s');
        }

        return self::ofMilliseconds($times);
    }

    /**
     * The mean, and two standard errors about it (the mean of many frames lies within them nineteen times of twenty);
     * of fewer than five the least and the greatest, since their spread says little.
     *
     * @param  non-empty-list<int>  $times
     */
    public static function ofMilliseconds(array $times): self
    {
        $count = count($times);
        $mean = intdiv(array_sum($times) + intdiv($count, 2), $count);
        if ($count < 5) {
            return new self(max(1, min($times)), max(1, $mean), max(1, min(self::MOST, max($times))), $count);
        }
        $squares = \Brick\Math\BigInteger::zero();
        foreach ($times as $time) {
            $squares = $squares->plus(\Brick\Math\BigInteger::of($time - $mean)->power(2));
        }
        // two standard errors: 2 √(Σ(t − mean)² ÷ (n (n − 1)))
        $error = $squares->multipliedBy(4)
            ->dividedBy($count * ($count - 1), \Brick\Math\RoundingMode::UP)
            ->sqrt()
            ->toInt()
            + 1;

        return new self(
            max(1, min($times), $mean - $error),
            max(1, $mean),
            max(1, min(max($times), $mean + $error)),
            $count,
        );
    }

    /** The same at another count of pixels; rounded up. */
    public function scaled(int $percent): self
    {
        $at = static fn (int $ms): int => max(1, intdiv($ms * $percent * $percent + 9_999, 10_000));

        return new self($at($this->least), $at($this->likely), $at($this->most), $this->samples);
    }

    public function isRange(): bool
    {
        return $this->least !== $this->most;
    }
}
