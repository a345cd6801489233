<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\IntColumn;
use PlainLedger\Core\Delivery\Sequence;

/** The files of a part by frame number, a column each: of a million, none is there as a list of its own. */
final readonly class FrameColumns
{
    private function __construct(
        public IntColumn $numbers,
        public IntColumn $rows,
        public IntColumn $takes,
        public IntColumn $facts,
        public IntColumn $sizes,
        public IntColumn $times,
    ) {}

    /**
     * @param  list<Take>  $takes  no two answering the same number
     * @param  int|null  $lone  the number by which a picture without one goes
     */
    public static function of(array $takes, ?int $lone): self
    {
        $isAll = count($takes) === 1
            && count($takes[0]->frames) === count($takes[0]->sequence->rows)
            && ! $takes[0]->sequence->numbers->isEmpty();

        return $isAll ? self::ofOne($takes[0]->sequence) : self::ofSeveral($takes, $lone);
    }

    private static function ofOne(Sequence $sequence): self
    {
        [$group, $rows] = [$sequence->group, $sequence->rows];

        return new self(
            $sequence->numbers,
            $rows,
            IntColumn::ofNarrow(str_repeat("\0\0\0\0", count($rows))),
            $group->factsIds()->inOrder($rows),
            $group->sizes()->inOrder($rows),
            $group->times()->inOrder($rows),
        );
    }

    /** @param  list<Take>  $takes */
    private static function ofSeveral(array $takes, ?int $lone): self
    {
        [$numbers, $rows, $of] = [[], [], []];
        foreach ($takes as $t => $take) {
            foreach (self::frames($take, $lone) as $row => $number) {
                $numbers[] = $number;
                $rows[] = $row;
                $of[] = $t;
            }
        }
        if (count($takes) > 1) {
            array_multisort($numbers, SORT_NUMERIC, $rows, $of);
        }
        [$facts, $sizes, $times] = [[], [], []];
        foreach ($rows as $i => $row) {
            $group = $takes[$of[$i]]->sequence->group;
            $facts[] = $group->factsId($row);
            $sizes[] = $group->size($row);
            $times[] = $group->modified($row);
        }

        return new self(
            IntColumn::of($numbers),
            IntColumn::narrow($rows),
            IntColumn::narrow($of),
            IntColumn::narrow($facts),
            IntColumn::of($sizes),
            IntColumn::of($times),
        );
    }

    /** @return \Generator<int, int> the numbers that a take answers, each once, by row */
    private static function frames(Take $take, ?int $lone): \Generator
    {
        $sequence = $take->sequence;
        if ($sequence->numbers->isEmpty()) {
            $number = $lone ?? 0;
            $answers = count($take->frames) === count($sequence->rows) || $take->frames->contains($number);
            yield from $answers ? [$sequence->rows[0] => $number] : [];

            return;
        }
        $all = count($take->frames) === count($sequence->rows);
        $before = null;
        foreach ($sequence->numbers as $i => $number) {
            if ($number !== $before && ($all || $take->frames->contains($number))) {
                $before = $number;
                yield $sequence->rows[$i] => $number;
            }
        }
    }
}
