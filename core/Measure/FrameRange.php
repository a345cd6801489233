<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

/**
 * A set of frame numbers. Held as the ends of its runs, first, last, first, last …, in order and never touching, so
 * a million frames in a row cost two integers.
 */
final readonly class FrameRange implements \Countable, \Stringable
{
    private const FARTHEST = 1_000_000_000;

    private const MOST_STEPPED = 2_000_000;

    /** @param  list<int>  $ends */
    private function __construct(private array $ends) {}

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws NotUnderstood if it ends before it starts, its step is below 1, or it is out of bounds */
    public static function of(int $first, int $last, int $step = 1): self
    {
        if ($last < $first) {
            throw NotUnderstood::because("The range {$first} to {$last} ends before it starts.");
        }
        if ($step < 1) {
            throw NotUnderstood::because("A step of {$step} goes nowhere; it is 1 or more.");
        }
        if (abs($first) > self::FARTHEST || abs($last) > self::FARTHEST) {
            throw NotUnderstood::because('Frame numbers go from −1,000,000,000 to 1,000,000,000.');
        }
        if ($step === 1 || $first === $last) {
            return new self([$first, $last]);
        }
        if (intdiv($last - $first, $step) >= self::MOST_STEPPED) {
            throw NotUnderstood::because('A stepped range may hold 2,000,000 frames at most.');
        }
        $ends = [];
        for ($n = $first; $n <= $last; $n += $step) {
            $ends[] = $n;
            $ends[] = $n;
        }

        return new self($ends);
    }

    /**
     * Reads `1-100`, `1-100x2`, `1-10,15,20-30`, `-5--1`; also `1..100`, `1:100`, `1 to 100`, `1-100 step 2`, an en
     * dash.
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): self
    {
        if (strlen($text) > 2_000_000) {
            throw NotUnderstood::because('A range may be written in two million characters at most.');
        }
        $plain = str_replace(
            ["\u{2013}", "\u{2212}", '..', ' to ', ' step ', ' by '],
            ['-', '-', ':', ':', 'x', 'x'],
            trim($text),
        );
        $plain = (string) preg_replace('~\s*([,;x:-])\s*~', '$1', $plain);
        if ($plain === '' || $plain === 'none') {
            return self::none();
        }
        $pieces = [];
        foreach (preg_split('~[,;]|\s+~', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            if (preg_match('~^([+-]?\d{1,10})(?:[-:]([+-]?\d{1,10})(?:[xX](\d{1,10}))?)?$~', $piece, $m) !== 1) {
                throw NotUnderstood::as('a frame range', $text, '1-100, 1-100x2 or 1-10,15');
            }
            $pieces[] = self::of((int) $m[1], (int) ($m[2] ?? $m[1]), (int) ($m[3] ?? 1));
        }

        return self::union(...$pieces);
    }

    /** @param  list<int>  $ends  first and last of each run, ascending, with a gap between any two */
    public static function ofEnds(array $ends): self
    {
        return new self($ends);
    }

    /** @param  iterable<int>  $numbers  ascending, repeats allowed; not held together */
    public static function ofAscending(iterable $numbers): self
    {
        $builder = new RangeBuilder;
        foreach ($numbers as $number) {
            $builder->add($number);
        }

        return $builder->range();
    }

    /** @param  iterable<int>  $numbers in any order, repeats allowed */
    public static function fromNumbers(iterable $numbers): self
    {
        $sorted = is_array($numbers) ? $numbers : iterator_to_array($numbers, false);
        sort($sorted);
        $ends = [];
        $at = -1;
        foreach ($sorted as $n) {
            if ($at > 0 && $n <= $ends[$at] + 1) {
                $ends[$at] = $n;
            } else {
                $ends[] = $n;
                $ends[] = $n;
                $at += 2;
            }
        }

        return new self(array_values($ends));
    }

    private static function union(self ...$sets): self
    {
        $runs = [];
        foreach ($sets as $set) {
            foreach ($set->runs() as $run) {
                $runs[] = $run;
            }
        }
        usort($runs, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $ends = [];
        $at = -1;
        foreach ($runs as [$first, $last]) {
            if ($at > 0 && $first <= $ends[$at] + 1) {
                $ends[$at] = max($ends[$at], $last);
            } else {
                $ends[] = $first;
                $ends[] = $last;
                $at += 2;
            }
        }

        return new self(array_values($ends));
    }

    public function plus(self $other): self
    {
        return match (true) {
            $other->isEmpty() => $this,
            $this->isEmpty() => $other,
            default => $this->merged($other),
        };
    }

    /** Both in one pass, since each is in order. */
    private function merged(self $other): self
    {
        [$a, $b] = [$this->ends, $other->ends];
        [$i, $j, $own, $others] = [0, 0, count($a), count($b)];
        $ends = [];
        $at = -1;
        while ($i < $own || $j < $others) {
            if ($j >= $others || ($i < $own && $a[$i] <= $b[$j])) {
                [$first, $last] = [$a[$i], $a[$i + 1]];
                $i += 2;
            } else {
                [$first, $last] = [$b[$j], $b[$j + 1]];
                $j += 2;
            }
            if ($at > 0 && $first <= $ends[$at] + 1) {
                $ends[$at] = max($ends[$at], $last);
            } else {
                $ends[] = $first;
                $ends[] = $last;
                $at += 2;
            }
        }

        return new self(array_values($ends));
    }

    public function minus(self $other): self
    {
        $ends = [];
        [$own, $cuts] = [$this->ends, $other->ends];
        $j = 0;
        $many = count($cuts);
        for ($i = 0, $runs = count($own); $i < $runs; $i += 2) {
            [$first, $last] = [$own[$i], $own[$i + 1]];
            while ($j < $many && $cuts[$j + 1] < $first) {
                $j += 2;
            }
            for ($k = $j; $k < $many && $cuts[$k] <= $last; $k += 2) {
                if ($cuts[$k] > $first) {
                    $ends[] = $first;
                    $ends[] = $cuts[$k] - 1;
                }
                $first = $cuts[$k + 1] + 1;
            }
            if ($first <= $last) {
                $ends[] = $first;
                $ends[] = $last;
            }
        }

        return new self($ends);
    }

    public function and(self $other): self
    {
        $ends = [];
        [$a, $b] = [$this->ends, $other->ends];
        [$i, $j, $own, $others] = [0, 0, count($a), count($b)];
        while ($i < $own && $j < $others) {
            $first = $a[$i] > $b[$j] ? $a[$i] : $b[$j];
            $last = $a[$i + 1] < $b[$j + 1] ? $a[$i + 1] : $b[$j + 1];
            if ($first <= $last) {
                $ends[] = $first;
                $ends[] = $last;
            }
            if ($a[$i + 1] < $b[$j + 1]) {
                $i += 2;
            } else {
                $j += 2;
            }
        }

        return new self($ends);
    }

    public function count(): int
    {
        $count = 0;
        for ($i = 0, $many = count($this->ends); $i < $many; $i += 2) {
            $count += $this->ends[$i + 1] - $this->ends[$i] + 1;
        }

        return max(0, $count);
    }

    public function isEmpty(): bool
    {
        return $this->ends === [];
    }

    public function equals(self $other): bool
    {
        return $this->ends === $other->ends;
    }

    public function contains(int $number): bool
    {
        $low = 0;
        $high = intdiv(count($this->ends), 2) - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            if ($number < $this->ends[2 * $middle]) {
                $high = $middle - 1;
            } elseif ($number > $this->ends[2 * $middle + 1]) {
                $low = $middle + 1;
            } else {
                return true;
            }
        }

        return false;
    }

    public function covers(self $other): bool
    {
        return $other->minus($this)->isEmpty();
    }

    /**
     * The smallest number.
     *
     * @throws \LogicException on an empty set
     */
    public function first(): int
    {
        return $this->ends[0] ?? throw new \LogicException('An empty range has no first frame.');
    }

    /**
     * The largest number.
     *
     * @throws \LogicException on an empty set
     */
    public function last(): int
    {
        return $this->ends === []
            ? throw new \LogicException('An empty range has no last frame.')
            : $this->ends[count($this->ends) - 1];
    }

    /** @return \Generator<int, array{int, int}> runs without a gap: first, last */
    public function runs(): \Generator
    {
        for ($i = 0, $many = count($this->ends); $i < $many; $i += 2) {
            yield [$this->ends[$i], $this->ends[$i + 1]];
        }
    }

    /** @return \Generator<int, int> */
    public function numbers(): \Generator
    {
        foreach ($this->runs() as [$first, $last]) {
            for ($n = $first; $n <= $last; $n++) {
                yield $n;
            }
        }
    }

    /** Whether it is one run without a gap. */
    public function isOneRun(): bool
    {
        return count($this->ends) === 2;
    }

    public function runCount(): int
    {
        return intdiv(count($this->ends), 2);
    }

    /** From its first to its last number, without gaps. */
    public function span(): self
    {
        return $this->ends === [] ? $this : new self([$this->first(), $this->last()]);
    }

    public function shifted(int $by): self
    {
        return new self(array_map(static fn (int $n): int => $n + $by, $this->ends));
    }

    /**
     * With so many more frames before its first and after its last.
     *
     * @throws NotUnderstood if that runs out of bounds
     */
    public function widened(int $head, int $tail): self
    {
        return $this->isEmpty()
            ? $this
            : self::union(
                self::of($this->first() - $head, $this->first()),
                $this,
                self::of($this->last(), $this->last() + $tail),
            );
    }

    /** Of its numbers, those a whole number of steps after the first. */
    public function every(int $step): self
    {
        if ($step === 1 || $this->isEmpty()) {
            return $this;
        }
        $stepped = self::of($this->first(), $this->last(), $step);

        return $this->isOneRun() ? $stepped : $stepped->and($this);
    }

    /** The greatest step all its numbers keep to; null for fewer than three numbers. */
    public function commonStep(): ?int
    {
        if ($this->count() < 3) {
            return null;
        }
        $common = 0;
        foreach ($this->runs() as [$first, $last]) {
            if ($last > $first) {
                return 1;
            }
            for ($a = $common, $b = $first - $this->ends[0]; $b !== 0;) {
                [$a, $b] = [$b, $a % $b];
            }
            $common = $a;
        }

        return $common;
    }

    /**
     * The shortest text that reads back as this set: runs `9-10`, a step from three frames on and only where the
     * text gets strictly shorter. Empty for none.
     */
    public function __toString(): string
    {
        return FrameRangeText::of($this);
    }
}
