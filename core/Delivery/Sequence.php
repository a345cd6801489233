<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Measure\FrameRange;

/** Files that differ in one number only, written with one count of digits; or a single file without such a number. */
final readonly class Sequence
{
    public FrameRange $frames;

    /**
     * @param  int|null  $column  which number of the name counts the frames; null for a file without one
     * @param  int  $digits  the count of digits they are filled to
     * @param  list<int>  $numbers  ascending
     * @param  list<int>  $rows  of the group, one for each number
     * @param  string  $lead  digits that stand right before the number and are not its own, likewise $trail after it
     */
    private function __construct(
        public NameGroup $group,
        public ?int $column,
        public int $digits,
        public array $numbers,
        public array $rows,
        public string $lead = '',
        public string $trail = '',
    ) {
        $this->frames = FrameRange::fromNumbers($numbers);
    }

    /** @return list<self> the group's files, split where more than the number differs */
    public static function of(NameGroup $group, ?int $column, string $lead = '', string $trail = ''): array
    {
        if ($column === null) {
            return array_map(
                static fn (int $row): self => new self($group, null, 0, [], [$row]),
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
            return [self::sorted($group, $column, $shared, $numbers, array_keys($numbers))];
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
                $sequences[] = new self($group, null, 0, [], [$row]);
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

        return new self($group, $column, max(1, $digits), $numbers, $rows, $lead, $trail);
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
        foreach (($this->numbers[0] ?? 0) < 0 ? $this->numbers : [] as $at => $number) {
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

        return FrameRange::fromNumbers(
            array_filter(
                $this->numbers,
                fn (int $n): bool => str_pad((string) abs($n), $digits, '0', STR_PAD_LEFT) !== str_pad(
                    (string) abs($n),
                    $this->digits,
                    '0',
                    STR_PAD_LEFT,
                ),
            ),
        );
    }

    /** Which row of the group holds one number; null where none does. */
    public function rowOf(int $number): ?int
    {
        $at = array_search($number, $this->numbers, true);

        return $at === false ? null : $this->rows[$at];
    }
}
