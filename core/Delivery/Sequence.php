<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\RangeBuilder;

/** Files that differ in one number only, written with one count of digits; or a single file without such a number. */
final readonly class Sequence
{
    private const ROW_BITS = 24;

    public FrameRange $frames;

    /**
     * @param  int|null  $column  which number of the name counts the frames; null for a file without one
     * @param  int  $digits  the count of digits they are filled to
     * @param  IntColumn  $numbers  ascending
     * @param  IntColumn  $rows  of the group, one for each number
     * @param  string  $lead  digits that stand right before the number and are not its own, likewise $trail after it
     */
    private function __construct(
        public NameGroup $group,
        public ?int $column,
        public int $digits,
        public IntColumn $numbers,
        public IntColumn $rows,
        public string $lead = '',
        public string $trail = '',
    ) {
        $this->frames = FrameRange::ofAscending($numbers);
    }

    /** @return list<self> the group's files, split where more than the number differs */
    public static function of(NameGroup $group, ?int $column, string $lead = '', string $trail = ''): array
    {
        if ($column === null) {
            return array_map(
                static fn (int $row): self => self::single($group, $row),
                range(0, $group->count() - 1),
            );
        }
        if ($lead !== '' || $trail !== '') {
            return self::within($group, $column, $lead, $trail);
        }
        $numbers = $group->numbers($column);
        $others = self::otherColumns($group, $column);
        $shared = $group->sharedDigits($column);
        if ($others === [] && $shared !== null) {
            return [self::whole($group, $column, $shared, $numbers)];
        }
        $buckets = [];
        for ($row = 0; $row < $group->count(); $row++) {
            $texts = array_map(static fn (int $c): string => $group->numberText($c, $row).'/', $others);
            $buckets[implode('', $texts)][$row] = ltrim($group->numberText($column, $row), '-');
        }
        ksort($buckets, SORT_STRING);
        $sequences = [];
        foreach ($buckets as $texts) {
            foreach (self::byDigits($texts) as $digits => $rows) {
                $own = array_map(static fn (int $row): int => $numbers[$row], $rows);
                $sequences[] = self::sorted($group, $column, $digits, $own, $rows);
            }
        }

        return $sequences;
    }

    /** @return array<int, int> other numbers of the name that are not the same in all */
    private static function otherColumns(NameGroup $group, int $column): array
    {
        return array_filter(
            range(0, $group->columnCount() - 1),
            static fn (int $other): bool => $other !== $column && $group->varies($other),
        );
    }

    /**
     * Where the number is a part of a run of digits: `take20001` by a pattern that has `take2` before it.
     *
     * @return list<self> what does not have these digits around it stands by itself
     */
    private static function within(NameGroup $group, int $column, string $lead, string $trail): array
    {
        $buckets = [];
        $sequences = [];
        $others = self::otherColumns($group, $column);
        for ($row = 0; $row < $group->count(); $row++) {
            $text = ltrim($group->numberText($column, $row), '-');
            $own = substr($text, strlen($lead), strlen($text) - strlen($lead) - strlen($trail));
            if ($own !== '' && $text === $lead.$own.$trail) {
                $key = implode('/', array_map(static fn (int $c): string => $group->numberText($c, $row), $others));
                $buckets[$key][$row] = $own;
            } else {
                $sequences[] = self::single($group, $row);
            }
        }
        foreach ($buckets as $texts) {
            foreach (self::byDigits($texts) as $digits => $alike) {
                $numbers = array_map(static fn (int $row): int => (int) $texts[$row], $alike);
                $sequences[] = self::sorted($group, $column, $digits, $numbers, $alike, $lead, $trail);
            }
        }

        return $sequences;
    }

    /**
     * @param  list<int>  $numbers
     * @param  list<int>  $rows
     */
    private static function sorted(
        NameGroup $group,
        int $column,
        int $digits,
        array $numbers,
        array $rows,
        string $lead = '',
        string $trail = '',
    ): self {
        array_multisort($numbers, SORT_NUMERIC, $rows);

        return new self(
            $group,
            $column,
            max(1, $digits),
            IntColumn::of($numbers),
            IntColumn::narrow($rows),
            $lead,
            $trail,
        );
    }

    private static function single(NameGroup $group, int $row): self
    {
        return new self($group, null, 0, IntColumn::of([]), IntColumn::narrow([$row]));
    }

    /** All files of a group; of a million not more than one list is there at a time. */
    private static function whole(NameGroup $group, int $column, int $digits, IntColumn $numbers): self
    {
        [$least, $most] = [PHP_INT_MAX, PHP_INT_MIN];
        foreach ($numbers as $number) {
            $least = min($least, $number);
            $most = max($most, $number);
        }
        // number and row in one, so that sorting the one sorts the other
        if (count($numbers) >= 1 << self::ROW_BITS || $most - $least >= 1 << 62 - self::ROW_BITS) {
            $all = $numbers->all();

            return self::sorted($group, $column, $digits, $all, array_keys($all));
        }
        $both = [];
        foreach ($numbers as $row => $number) {
            $both[] = $number - $least << self::ROW_BITS | $row;
        }
        sort($both, SORT_NUMERIC);
        $rows = IntColumn::narrow((static function () use ($both): iterable {
            foreach ($both as $one) {
                yield $one & (1 << self::ROW_BITS) - 1;
            }
        })());

        return new self($group, $column, max(1, $digits), $numbers->inOrder($rows), $rows);
    }

    /**
     * A number filled with zeros tells the count of digits; one that fills it by itself belongs to any count it
     * reaches.
     *
     * @param  array<int, string>  $texts  the numbers as they are written, without a sign, by row
     * @return array<int, non-empty-list<int>> rows by digits
     */
    private static function byDigits(array $texts): array
    {
        $filled = [];
        $natural = [];
        foreach ($texts as $row => $text) {
            if ($text[0] === '0' && strlen($text) > 1) {
                $filled[strlen($text)][] = $row;
            } else {
                $natural[strlen($text)][] = $row;
            }
        }
        krsort($filled);
        $loose = [];
        foreach ($natural as $length => $list) {
            foreach (array_keys($filled) as $digits) {
                if ($digits <= $length) {
                    $filled[$digits] = [...$filled[$digits], ...$list];

                    continue 2;
                }
            }
            $loose[$length] = $list;
        }
        if ($loose !== []) {
            $digits = count($loose) === 1 ? array_key_first($loose) : min(array_keys($loose));
            $filled[$digits] = [...$filled[$digits] ?? [], ...array_merge(...array_values($loose))];
        }

        return $filled;
    }

    /**
     * The number that counts the frames, as far as the names alone tell: the one with most values, the last among
     * equals.
     */
    public static function likelyColumn(NameGroup $group): ?int
    {
        if ($group->columnCount() === 0) {
            return null;
        }
        $varying = array_filter(range(0, $group->columnCount() - 1), $group->varies(...));
        if (count($varying) === 1) {
            return array_values($varying)[0];
        }
        $best = null;
        $most = 0;
        for ($c = 0; $c < $group->columnCount(); $c++) {
            $seen = [];
            for ($row = 0; $row < $group->count() && $group->varies($c); $row++) {
                $seen[$group->number($c, $row)] = true;
            }
            if (max(1, count($seen)) >= $most) {
                [$best, $most] = [$c, max(1, count($seen))];
            }
        }

        return $best;
    }

    public function folder(): string
    {
        return $this->group->folder;
    }

    public function count(): int
    {
        return count($this->rows);
    }

    /** The name with `#` for each digit of the frame number. */
    public function pattern(): string
    {
        if ($this->column === null) {
            return $this->group->name($this->rows[0]);
        }
        [$before, $after] = $this->group->around($this->column, $this->rows[0]);

        return $before.$this->lead.str_repeat('#', $this->digits).$this->trail.$after;
    }

    /** The name in which the count of digits shows most: that of the smallest number. */
    public function sampleName(): string
    {
        $least = 0;
        // ascending: only negative numbers are smaller further on
        $hasNegative = ! $this->numbers->isEmpty() && $this->numbers[0] < 0;
        foreach ($hasNegative ? $this->numbers : [] as $at => $number) {
            if (abs($number) < abs($this->numbers[$least])) {
                $least = $at;
            }
        }

        return $this->group->name($this->rows[$least]);
    }

    /** Its frames whose written number is not filled to $digits. */
    public function notFilledTo(?int $digits): FrameRange
    {
        if ($digits === null || $this->column === null || $digits === $this->digits) {
            return FrameRange::none();
        }

        $filled = static fn (int $n, int $to): string => str_pad((string) abs($n), $to, '0', STR_PAD_LEFT);
        $builder = new RangeBuilder;
        foreach ($this->numbers as $number) {
            if ($filled($number, $digits) !== $filled($number, $this->digits)) {
                $builder->add($number);
            }
        }

        return $builder->range();
    }

    /** Which row of the group holds one number; null where none does. */
    public function rowOf(int $number): ?int
    {
        $at = $this->numbers->search($number);

        return $at === null ? null : $this->rows[$at];
    }
}
