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
        [16, 1], [18, 1], [20, 1], [25, 2], [15000, 1001], [12000, 1001], [72, 1], [90, 1], [96, 1], [240, 1],
    ];

    /** More runs of pictures that differ are not kept one by one. */
    private const MOST_RUNS = 100_000;

    private const MOST_TICKS = 1 << 60;

    /** Of a rate that a file names: larger ones are no rate's. */
    private const MOST_TERM = 1 << 32;

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
        $exact = count($runs) === 1 && $runs[0][1] > 0 ? self::lowest($this->scale, $runs[0][1]) : null;
        if ($exact !== null && in_array($exact, self::USUAL, true)) {
            return FrameRate::of(...$exact);
        }
        [$best, $least] = [null, 0];
        foreach ($this->candidates($told) as $rate) {
            $off = $this->farthest($runs, ...$rate);
            // parts of a tick by the numerator of each: the lesser is found crosswise
            if ($off !== null && ($best === null || $off * $best[0] < $least * $rate[0])) {
                [$best, $least] = [$rate, $off];
            }
        }

        return match (true) {
            $best !== null => FrameRate::of(...$best),
            $exact !== null => FrameRate::of(...$exact),
            default => $this->byRounding($runs),
        };
    }

    /** @return array{int, int} */
    private static function lowest(int $over, int $under): array
    {
        [$a, $b] = [$over, $under];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return [intdiv($over, $a), intdiv($under, $a)];
    }

    /** @return list<array{int, int}> */
    private function candidates(?FrameRate $told): array
    {
        if ($told === null) {
            return self::USUAL;
        }
        $own = [$told->value->getNumerator(), $told->value->getDenominator()];
        $isPlain = $own[0]->isLessThan(self::MOST_TERM) && $own[1]->isLessThan(self::MOST_TERM);

        return $isPlain ? [[$own[0]->toInt(), $own[1]->toInt()], ...self::USUAL] : self::USUAL;
    }

    /**
     * How far the picture that is farthest from its time by a rate is from it, in parts of a tick, of which the rate's
     * numerator makes one; null where one is farther than a tick, or stands a tick longer or shorter than it should.
     *
     * @param  list<array{int, int}>  $runs
     */
    private function farthest(array $runs, int $over, int $under): ?int
    {
        if ($this->scale > intdiv(self::MOST_TICKS, $under)) {
            return null;
        }
        $each = $this->scale * $under;
        if ($this->count > intdiv(self::MOST_TICKS, max(1, $each)) || $this->ticks > intdiv(self::MOST_TICKS, $over)) {
            return null;
        }
        [$most, $at, $due] = [0, 0, 0];
        foreach ($runs as [$count, $ticks]) {
            if (abs($each - $ticks * $over) > $over) {
                return null;
            }
            $at += $count * $ticks * $over;
            $due += $count * $each;
            $off = abs($due - $at);
            // a rate that is written as a decimal of three places drifts by a millionth
            if ($off > $over && $off > intdiv($due, 500_000)) {
                return null;
            }
            $most = max($most, $off);
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
        if ($shown > intdiv(self::MOST_TICKS, $this->scale)) {
            return null;
        }
        $rate = self::lowest($shown * $this->scale, max(1, $all));

        return $this->farthest($runs, ...$rate) === null ? null : FrameRate::of(...$rate);
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
        $plain = self::lowest($this->scale, $ticks);
        [$best, $least] = [null, 0];
        foreach ($this->candidates($told) as [$over, $under]) {
            $off = (int) abs($this->scale * $under - $ticks * $over);
            if ($off < $over && ($best === null || $off * $best[0] < $least * $over)) {
                [$best, $least] = [[$over, $under], $off];
            }
        }

        return FrameRate::of(...$best ?? $plain);
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
