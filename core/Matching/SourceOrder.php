<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Movie\SourceShown;

/**
 * Which frame each picture of a movie is, by grids of their lightness. Grids are compared without regard to how bright
 * and how contrasty they are, so that a look laid over all of them hides no order; a picture is a frame where no other
 * frame is clearly nearer to it, so that still stretches are in every order.
 */
final readonly class SourceOrder
{
    /** Of the points of a grid every so many are compared with each frame. */
    private const EVERY = 7;

    /** A grid's values in parts of its own spread. */
    private const SPREAD = 1000;

    /** So far, in parts of the spread, two pictures of one frame may be apart by what packs them. */
    private const SLACK = 25;

    private const SLACK_BETWEEN_SIZES = 120;

    /** Pictures further apart than this on the mean have nothing to do with each other. */
    private const STRANGE = 500;

    /**
     * @param  array<int, string>  $pictures  of the movie, by their place counted from 0
     * @param  array<int, string>  $frames  grids of those that are there, by their place among those expected
     * @param  list<int>  $numbers  of the frames expected
     * @param  int  $count  pictures of the movie
     * @param  bool  $isOfOneSize  whether both are as large, so that points stand in the same places
     */
    public function __construct(
        private array $pictures,
        private array $frames,
        private array $numbers,
        private int $count,
        private bool $isOfOneSize = true,
    ) {}

    /** Whether every picture that was looked at is the frame that stands where it does. */
    public function isRight(): bool
    {
        return $this->pictures !== []
            && $this->frames !== []
            && $this->wrong($this->distances(), static fn (int $i): int => $i) === [];
    }

    public function shown(bool $isAll): SourceShown
    {
        if ($this->pictures === [] || $this->frames === []) {
            return SourceShown::unseen('nothing is there to be compared');
        }
        $apart = $this->distances();
        $order = $isAll ? $this->ofAll($apart) : $this->ofSome($apart);
        $isKnown = in_array($order->order, [SourceShown::RIGHT, SourceShown::REVERSED], true);
        if (! $isKnown || $order->frames === '' || $order->apart !== '') {
            return $order;
        }
        [$light, $why] = $this->light($order);

        return new SourceShown(
            $order->looked,
            $order->order,
            $order->times,
            $order->frames,
            $order->apart,
            $light,
            $why,
        );
    }

    /** @param  array<int, array<int, int>>  $apart */
    private function ofAll(array $apart): SourceShown
    {
        $looked = count($this->pictures);
        $nearest = array_map(
            static fn (array $row): int => (int) array_search(min([PHP_INT_MAX, ...$row]), $row, true),
            $apart,
        );
        foreach ($this->orders($nearest, $apart) as [$word, $times, $place]) {
            if ($this->wrong($apart, $place) === []) {
                return new SourceShown($looked, $word, $times, $this->range($place));
            }
        }
        if ($this->areStrange($apart)) {
            return new SourceShown($looked, SourceShown::OTHERS);
        }
        $again = $this->shownAgain($nearest);
        if ($again !== null) {
            return $again;
        }
        $wrong = $this->wrong($apart, static fn (int $i): int => $i);
        if (! $this->isOfOneSize && 2 * count($wrong) < $looked) {
            return SourceShown::unseen('its size is not its frames’, and some pictures do not tell which they are');
        }

        return new SourceShown(
            $looked,
            SourceShown::MIXED,
            1,
            (string) FrameRange::fromNumbers(array_map(fn (int $row): int => $this->numbers[$row], $nearest)),
            (string) FrameRange::fromNumbers(array_map(static fn (int $i): int => $i + 1, $wrong)),
        );
    }

    /**
     * Orders that a movie may be in, the plain one first.
     *
     * @param  array<int, int>  $nearest
     * @param  array<int, array<int, int>>  $apart
     * @return iterable<array{string, int, \Closure(int): int}> word, times, and the place of each picture's frame
     */
    private function orders(array $nearest, array $apart): iterable
    {
        $all = count($this->numbers);
        $there = array_keys($this->frames);
        sort($there);
        if ($this->count === $all) {
            yield [SourceShown::RIGHT, 1, static fn (int $i): int => $i];
        }
        if ($this->count === count($there)) {
            yield [SourceShown::RIGHT, 1, static fn (int $i): int => $there[$i] ?? -1];
        }
        foreach ($this->count > count($there) ? array_unique([$all, count($there)]) : [] as $stills) {
            $times = intdiv($this->count + $stills - 1, $stills);
            $row = static fn (int $i): int => min($stills - 1, intdiv($i, $times));
            yield [SourceShown::RIGHT, $times, $stills === $all ? $row : static fn (int $i): int => $there[$row($i)]];
        }
        $first = $nearest[0] ?? 0;
        foreach ($this->offsets($first, $apart) as $offset) {
            yield [SourceShown::RIGHT, 1, static fn (int $i): int => $i + $offset];
        }
        yield from $this->passingOverHoles($there);
        foreach (array_unique([$all - 1, $first]) as $last) {
            yield [SourceShown::REVERSED, 1, static fn (int $i): int => $last - $i];
        }
    }

    /**
     * Where frames are missing, and more of them were left out at an end: each picture is the next one that is there.
     *
     * @param  list<int>  $there
     * @return iterable<array{string, int, \Closure(int): int}>
     */
    private function passingOverHoles(array $there): iterable
    {
        $left = count($there) - $this->count;
        foreach ($left > 0 && count($there) < count($this->numbers) ? array_unique([0, $left]) : [] as $skipped) {
            yield [SourceShown::RIGHT, 1, static fn (int $i): int => $there[$i + $skipped] ?? -1];
        }
    }

    /**
     * Frames by which a movie may begin later, those that bring it nearest first.
     *
     * @param  array<int, array<int, int>>  $apart
     * @return list<int>
     */
    private function offsets(int $first, array $apart): array
    {
        $sums = [];
        foreach (array_unique([0, count($this->numbers) - $this->count, $first]) as $offset) {
            $sums[$offset] = 0;
            foreach ($apart as $i => $row) {
                $sums[$offset] += $row[$i + $offset] ?? self::SPREAD;
            }
        }
        asort($sums);

        return array_keys($sums);
    }

    /**
     * Frames in their order of which some are shown more than once, or left out: as where a rate was made of another.
     *
     * @param  array<int, int>  $nearest
     */
    private function shownAgain(array $nearest): ?SourceShown
    {
        $again = [];
        $before = -1;
        foreach ($nearest as $i => $row) {
            if ($row < $before) {
                return null;
            }
            if ($row === $before) {
                $again[] = $i + 1;
            }
            $before = $row;
        }
        $numbers = array_map(fn (int $row): int => $this->numbers[$row], $nearest);

        return new SourceShown(
            count($nearest),
            SourceShown::RIGHT,
            1,
            (string) FrameRange::fromNumbers($numbers),
            (string) FrameRange::fromNumbers($again),
        );
    }

    /** @param  \Closure(int): int  $place */
    private function range(\Closure $place): string
    {
        $numbers = [];
        foreach (array_keys($this->pictures) as $i) {
            $numbers[] = $this->numbers[$place($i)];
        }

        return (string) FrameRange::fromNumbers($numbers);
    }

    /**
     * Pictures that another frame is clearly nearer to than the one that they should be; where that one is not there,
     * nothing is held against them.
     *
     * @param  array<int, array<int, int>>  $apart
     * @param  \Closure(int): int  $place
     * @return list<int>
     */
    private function wrong(array $apart, \Closure $place): array
    {
        $wrong = [];
        foreach ($apart as $i => $row) {
            $due = $place($i);
            if (! isset($this->numbers[$due])) {
                $wrong[] = $i;
            } elseif (isset($row[$due]) && ! $this->isNear($row[$due], min([PHP_INT_MAX, ...$row]))) {
                $wrong[] = $i;
            }
        }

        return $wrong;
    }

    private function isNear(int $apart, int $least): bool
    {
        $room = $this->isOfOneSize ? intdiv($least, 4) + self::SLACK : $least + self::SLACK_BETWEEN_SIZES;

        return $apart <= self::STRANGE && $apart <= $least + $room;
    }

    /** @param  array<int, array<int, int>>  $apart */
    private function areStrange(array $apart): bool
    {
        $strange = array_filter($apart, static fn (array $row): bool => min([PHP_INT_MAX, ...$row]) > self::STRANGE);

        return 2 * count($strange) > count($apart);
    }

    /**
     * Where only some were looked at: each beside the frame that stands where it does.
     *
     * @param  array<int, array<int, int>>  $apart
     */
    private function ofSome(array $apart): SourceShown
    {
        $looked = count($this->pictures);
        $last = count($this->numbers) - 1;
        $whole = (string) FrameRange::fromNumbers($this->numbers);

        return match (true) {
            $this->wrong($apart, static fn (int $i): int => $i) === [] => new SourceShown(
                $looked,
                SourceShown::RIGHT,
                1,
                $whole,
            ),
            $this->wrong($apart, static fn (int $i): int => $last - $i) === [] => new SourceShown(
                $looked,
                SourceShown::REVERSED,
                1,
                $whole,
            ),
            $this->areStrange($apart) => new SourceShown($looked, SourceShown::OTHERS),
            default => SourceShown::unseen('only some of its pictures were looked at, and they do not decide it'),
        };
    }

    /** @return array<int, array<int, int>> how far each picture is from each frame, in parts of the spread */
    private function distances(): array
    {
        $frames = array_map(self::spread(...), $this->frames);
        $apart = [];
        foreach ($this->pictures as $i => $grid) {
            $own = self::spread($grid);
            foreach ($frames as $row => $frame) {
                $sum = 0;
                foreach ($own as $at => $value) {
                    $sum += abs($value - $frame[$at]);
                }
                $apart[$i][$row] = intdiv($sum, max(1, count($own)));
            }
        }

        return $apart;
    }

    /** @return list<int> values from the mean, in parts of the spread */
    private static function spread(string $grid): array
    {
        $values = [];
        for ($i = 0, $many = strlen($grid); $i < $many; $i += self::EVERY) {
            $values[] = ord($grid[$i]);
        }
        $count = max(1, count($values));
        $mean = intdiv(16 * array_sum($values), $count);
        $off = array_map(static fn (int $v): int => 16 * $v - $mean, $values);
        $spread = max(16, intdiv(array_sum(array_map(abs(...), $off)), $count));

        return array_map(static fn (int $v): int => intdiv(self::SPREAD * $v, $spread), $off);
    }

    /** @return array{string|null, string|null} whether it is lighter or darker throughout, and how that was measured */
    private function light(SourceShown $order): array
    {
        $tones = new ToneCurve;
        $numbers = array_flip($this->numbers);
        $shown = iterator_to_array(FrameRange::parse($order->frames)->numbers(), false);
        $shown = $order->order === SourceShown::REVERSED ? array_reverse($shown) : $shown;
        foreach ($this->pictures as $i => $grid) {
            $number = $shown[min(count($shown) - 1, intdiv($i, $order->times))] ?? null;
            $frame = $number === null ? null : $this->frames[$numbers[$number] ?? -1] ?? null;
            if ($frame !== null) {
                $tones->add($frame, $grid);
            }
        }

        return $tones->verdict();
    }
}
