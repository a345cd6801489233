<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\FileDamaged;

/**
 * How long each picture stands, taken as runs in ticks of the file's clock, and the rate that follows. A clock that is
 * too coarse for the rate rounds: where a usual rate puts every picture within one tick of where it stands, that is
 * the rate. Rates of two standards are never taken for each other so, since the times of all pictures count.
 */
final class DurationTally
{
    /** Usual rates, as numerator and denominator; of two that fit alike the earlier is taken. */
    private const USUAL = [
        [24, 1], [25, 1], [30, 1], [50, 1], [60, 1], [48, 1], [24000, 1001], [30000, 1001], [60000, 1001],
        [48000, 1001], [120, 1], [120000, 1001], [100, 1], [12, 1], [15, 1], [10, 1], [8, 1], [5, 1], [1, 1], [6, 1],
        [16, 1], [18, 1], [20, 1], [12500, 1000], [15000, 1001], [12000, 1001], [72, 1], [90, 1], [96, 1], [240, 1],
    ];

    /** More runs of pictures that differ are not kept one by one. */
    private const MOST_RUNS = 100_000;

    private const MOST_TICKS = 1 << 60;

    /** @var list<array{int, int}> pictures, ticks each */
    private array $runs = [];

    /** @var array<int, int> pictures by ticks */
    private array $counts = [];

    private int $count = 0;

    private int $ticks = 0;

    /** @param  int  $scale  ticks a second */
    public function __construct(private readonly int $scale) {}

    /** @throws FileDamaged */
    public function add(int $count, int $ticks): void
    {
        if ($count < 1) {
            return;
        }
        if ($count > intdiv(self::MOST_TICKS, max(1, abs($ticks))) || $this->ticks > self::MOST_TICKS) {
            throw FileDamaged::header('its pictures claim times that no clock reaches');
        }
        $last = count($this->runs) - 1;
        if ($last >= 0 && $this->runs[$last][1] === $ticks) {
            $this->runs[$last][0] += $count;
        } elseif ($last + 1 < self::MOST_RUNS) {
            $this->runs[] = [$count, $ticks];
        }
        $this->counts[$ticks] = ($this->counts[$ticks] ?? 0) + $count;
        $this->count += $count;
        $this->ticks += $count * $ticks;
    }

    public function count(): int
    {
        return $this->count;
    }

    /** What most pictures stand, in ticks; 0 where there are none. */
    public function usual(): int
    {
        return $this->counts === [] ? 0 : $this->commonest();
    }

    /** In seconds. */
    public function duration(): ?BigRational
    {
        return $this->scale < 1 ? null : BigRational::nd($this->ticks, $this->scale)->simplified();
    }

    /** @param  FrameRate|null  $told  the rate that the file names beside its times */
    public function timing(?FrameRate $told = null): PictureTiming
    {
        if ($this->count < 1 || $this->scale < 1) {
            return new PictureTiming($this->count, $told, duration: $this->duration());
        }
        $runs = $this->withoutEmptyEnd();
        $rate = $this->constantRate($runs, $told);
        if ($rate !== null) {
            return new PictureTiming($this->count, $rate, true, FrameRange::none(), $this->duration());
        }
        $usual = $this->commonest();
        $uneven = $this->uneven($runs, $usual);

        return new PictureTiming($this->count, $this->rateOf($usual, $told), false, $uneven, $this->duration());
    }

    /**
     * The last picture has no other after it, and some writers give it no time.
     *
     * @return list<array{int, int}>
     */
    private function withoutEmptyEnd(): array
    {
        $runs = $this->runs;
        $end = $runs[count($runs) - 1];
        if (count($runs) > 1 && $end[1] <= 1) {
            array_pop($runs);
        }

        return $runs;
    }

    /** @param  list<array{int, int}>  $runs */
    private function constantRate(array $runs, ?FrameRate $told): ?FrameRate
    {
        if (count($runs) >= self::MOST_RUNS) {
            return null;
        }
        $exact = count($runs) === 1 && $runs[0][1] > 0 ? FrameRate::of($this->scale, $runs[0][1]) : null;
        [$best, $least] = [null, null];
        foreach ($this->candidates($told, $exact) as $rate) {
            $off = $this->farthest($runs, $rate);
            if ($off !== null && ($least === null || $off->isLessThan($least))) {
                [$best, $least] = [$rate, $off];
            }
        }

        return $best ?? $exact ?? $this->byRounding($runs);
    }

    /** @return list<FrameRate> */
    private function candidates(?FrameRate $told, ?FrameRate $exact): array
    {
        $usual = array_map(static fn (array $r): FrameRate => FrameRate::of(...$r), self::USUAL);
        if ($exact !== null && in_array((string) $exact, array_map(strval(...), $usual), true)) {
            return [$exact];
        }

        return [...($told === null ? [] : [$told]), ...$usual];
    }

    /**
     * How far the picture that is farthest from its time by a rate is from it, in ticks; null where one is farther than
     * a tick, or stands a tick longer or shorter than it should.
     *
     * @param  list<array{int, int}>  $runs
     */
    private function farthest(array $runs, FrameRate $rate): ?BigRational
    {
        $each = BigRational::of($this->scale)->dividedBy($rate->value);
        $most = BigRational::zero();
        [$at, $shown] = [0, 0];
        foreach ($runs as [$count, $ticks]) {
            if ($each->minus($ticks)->abs()->isGreaterThan(1)) {
                return null;
            }
            $at += $count * $ticks;
            $shown += $count;
            $due = $each->multipliedBy($shown);
            $off = $due->minus($at)->abs();
            // a rate that is written as a decimal of three places drifts by a millionth
            if ($off->isGreaterThan(1) && $off->isGreaterThan($due->multipliedBy(BigRational::nd(2, 1_000_000)))) {
                return null;
            }
            $most = $off->isGreaterThan($most) ? $off : $most;
        }

        return $most;
    }

    /** @param  list<array{int, int}>  $runs  that differ by no more than the clock rounds: an unusual rate */
    private function byRounding(array $runs): ?FrameRate
    {
        $ticks = array_column($runs, 1);
        [$least, $most] = $ticks === [] ? [0, 0] : [min($ticks), max($ticks)];
        if ($most - $least > 1 || $least < 1) {
            return null;
        }
        $shown = array_sum(array_column($runs, 0));
        $all = array_sum(array_map(static fn (array $r): int => $r[0] * $r[1], $runs));
        $rate = FrameRate::of($shown * $this->scale, $all);

        return $this->farthest($runs, $rate) === null ? null : $rate;
    }

    /** Ticks that most pictures stand. */
    private function commonest(): int
    {
        arsort($this->counts);

        return (int) array_key_first($this->counts);
    }

    /** The usual rate at which a picture would stand so long, else the plain one. */
    private function rateOf(int $ticks, ?FrameRate $told): ?FrameRate
    {
        if ($ticks < 1) {
            return $told;
        }
        $plain = FrameRate::of($this->scale, $ticks);
        [$best, $least] = [null, null];
        foreach ($this->candidates($told, $plain) as $rate) {
            $off = BigRational::of($this->scale)->dividedBy($rate->value)->minus($ticks)->abs();
            if ($off->isLessThan(1) && ($least === null || $off->isLessThan($least))) {
                [$best, $least] = [$rate, $off];
            }
        }

        return $best ?? $plain;
    }

    /** @param  list<array{int, int}>  $runs */
    private function uneven(array $runs, int $usual): FrameRange
    {
        $ends = [];
        $at = 1;
        foreach ($runs as [$count, $ticks]) {
            if (abs($ticks - $usual) > 1) {
                $follows = $ends !== [] && $ends[count($ends) - 1] === $at - 1;
                if ($follows) {
                    array_pop($ends);
                } else {
                    $ends[] = $at;
                }
                $ends[] = $at + $count - 1;
            }
            $at += $count;
        }

        return FrameRange::ofEnds($ends);
    }
}
