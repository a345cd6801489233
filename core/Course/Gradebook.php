<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Tabular\Dialect;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/**
 * A table of learners as another system gives it, and takes it back. Whose a row is is found by looking which column
 * names most of the learners, whatever stands above it; all that is not filled in stays as it was.
 */
final readonly class Gradebook
{
    private const MOST_TOLD = 50;

    /**
     * @param  list<list<string>>  $rows
     * @param  int  $head  which row has the headings
     */
    private function __construct(private Dialect $dialect, private array $rows, private int $head) {}

    /** @throws TableRefused */
    public static function read(string $bytes, string $label): self
    {
        [$dialect, $rows] = SeparatedValues::asWritten($bytes, $label);
        foreach (array_slice($rows, 0, 20, true) as $at => $row) {
            $told = array_filter($row, static fn (string $cell): bool => trim($cell) !== '');
            if (count($told) > 1) {
                return new self($dialect, $rows, $at);
            }
        }
        throw TableRefused::because($label, 'it has no row with two headings or more.');
    }

    /** @return list<string> */
    public function headings(): array
    {
        return array_map(trim(...), $this->rows[$this->head]);
    }

    /**
     * The columns that name most learners, the surest where several name as many, and the one for this assignment.
     *
     * @param  list<CourseLearner>  $learners
     * @return GradebookColumns|null null where no column names anybody
     */
    public function guess(array $learners, string $assignment, ?GradebookColumns $kept = null): ?GradebookColumns
    {
        $points = $this->columnOf($assignment);
        if ($kept !== null && array_diff($kept->whose, $this->headings()) === []) {
            return new GradebookColumns($kept->whose, $kept->by, $points, $this->there($kept->remark));
        }
        [$best, $most] = [null, 0];
        foreach (NamedBy::cases() as $by) {
            $names = self::names($learners, $by);
            foreach ($this->candidates($by) as $columns) {
                $named = count(array_intersect_key($names, array_flip($this->keys($columns, $by))));
                if ($named > $most) {
                    [$best, $most] = [[$columns, $by], $named];
                }
            }
        }
        if ($best === null) {
            return null;
        }
        $headings = $this->headings();

        return new GradebookColumns(
            array_map(static fn (int $column): string => $headings[$column] ?? '', $best[0]),
            $best[1],
            $points,
        );
    }

    /**
     * @param  list<CourseLearner>  $learners
     * @param  array<int, string>  $points  as they are shown, by learner
     * @param  array<int, string>  $remarks  by learner
     *
     * @throws CourseRefused where a column is not there
     */
    public function fill(
        GradebookColumns $columns,
        array $learners,
        array $points,
        array $remarks = [],
    ): FilledGradebook {
        $whose = array_map($this->place(...), $columns->whose);
        [$pointsAt, $rows] = self::withColumn($this->rows, $this->head, $columns->points);
        [$remarkAt, $rows] = $columns->remark === null
            ? [null, $rows]
            : self::withColumn($rows, $this->head, $columns->remark);
        $byRow = $this->learnersByRow($whose, $columns->by, $learners);
        $often = array_count_values(array_filter($byRow, static fn (?int $id): bool => $id !== null));
        $filled = [];
        $changed = 0;
        foreach ($byRow as $at => $id) {
            if ($id === null || $often[$id] > 1 || ! isset($points[$id])) {
                continue;
            }
            $value = $this->number($points[$id]);
            $before = trim($rows[$at][$pointsAt]);
            $changed += (int) ($before !== '' && $before !== $value);
            $rows[$at][$pointsAt] = $value;
            if ($remarkAt !== null && isset($remarks[$id])) {
                $rows[$at][$remarkAt] = Csv::harmless($remarks[$id]);
            }
            $filled[] = $id;
        }
        $named = self::namesOf($learners);
        $ids = array_keys($named);
        $twice = array_keys(array_filter($often, static fn (int $times): bool => $times > 1));

        return new FilledGradebook(
            $this->dialect->written(array_map(array_values(...), array_values($rows))),
            $filled,
            $this->unknown($whose, $byRow),
            self::told($named, $twice),
            self::told($named, array_diff(array_keys($points), array_keys($often))),
            self::told($named, array_diff(array_intersect($ids, array_keys($often)), array_keys($points))),
            $changed,
        );
    }

    /**
     * @param  array<int, string>  $named
     * @param  array<array-key, int>  $ids
     * @return list<string>
     */
    private static function told(array $named, array $ids): array
    {
        $names = [];
        foreach ($ids as $id) {
            $names[] = $named[$id] ?? '';
        }

        return $names;
    }

    /**
     * What somebody is called by a column, for those who are known by another.
     *
     * @param  list<CourseLearner>  $learners
     * @return array<int, string> by learner; none of whom it names twice
     *
     * @throws CourseRefused
     */
    public function numbers(GradebookColumns $columns, string $heading, array $learners): array
    {
        $at = $this->place($heading);
        $byRow = $this->learnersByRow(array_map($this->place(...), $columns->whose), $columns->by, $learners);
        $found = [];
        foreach ($byRow as $row => $id) {
            $number = trim($this->rows[$row][$at] ?? '');
            if ($id !== null && $number !== '') {
                $found[$id][] = $number;
            }
        }
        $single = array_filter($found, static fn (array $numbers): bool => count($numbers) === 1);

        return array_map(static fn (array $numbers): string => $numbers[0], $single);
    }

    /** The heading for an assignment: the one that is its title, or begins with it; else its title, to be added. */
    private function columnOf(string $assignment): string
    {
        $title = mb_strtolower(trim($assignment));
        $beginning = null;
        foreach ($this->headings() as $heading) {
            $word = mb_strtolower($heading);
            if ($word === $title) {
                return $heading;
            }
            if ($title !== '' && preg_match('~^[\s(\[:–-]~u', mb_substr($word, mb_strlen($title))) === 1) {
                $beginning ??= str_starts_with($word, $title) ? $heading : null;
            }
        }

        return $beginning ?? trim($assignment);
    }

    private function there(?string $heading): ?string
    {
        return $heading !== null && in_array($heading, $this->headings(), true) ? $heading : null;
    }

    /**
     * Each column; of names also two that stand beside each other.
     *
     * @return list<list<int>>
     */
    private function candidates(NamedBy $by): array
    {
        $many = count($this->headings());
        $single = array_map(static fn (int $column): array => [$column], array_keys($this->headings()));
        $pairs = [];
        for ($at = 0; $by === NamedBy::Name && $at < $many - 1; $at++) {
            $pairs[] = [$at, $at + 1];
        }

        return [...$single, ...$pairs];
    }

    /**
     * @param  list<int>  $columns
     * @return array<int, string> by row
     */
    private function keys(array $columns, NamedBy $by): array
    {
        $keys = [];
        foreach (array_slice($this->rows, $this->head + 1, null, true) as $at => $row) {
            $cells = array_map(static fn (int $column): string => $row[$column] ?? '', $columns);
            $keys[$at] = $by->key(implode(' ', $cells));
        }

        return $keys;
    }

    /**
     * @param  list<int>  $columns
     * @param  list<CourseLearner>  $learners
     * @return array<int, int|null> by row
     */
    private function learnersByRow(array $columns, NamedBy $by, array $learners): array
    {
        $names = self::names($learners, $by);

        return array_map(static fn (string $key): ?int => $names[$key] ?? null, $this->keys($columns, $by));
    }

    /**
     * @param  list<CourseLearner>  $learners
     * @return array<array-key, int> by what they are called; who shares that with somebody else is not found by it
     */
    private static function names(array $learners, NamedBy $by): array
    {
        $names = [];
        foreach ($learners as $learner) {
            foreach ($learner->called($by) as $word) {
                $names[$word][$learner->id] = $learner->id;
            }
        }
        $single = array_filter($names, static fn (array $ids): bool => count($ids) === 1);

        return array_map(static fn (array $ids): int => (int) reset($ids), $single);
    }

    /**
     * @param  list<CourseLearner>  $learners
     * @return array<int, string>
     */
    private static function namesOf(array $learners): array
    {
        $names = [];
        foreach ($learners as $learner) {
            $names[$learner->id] = $learner->name;
        }

        return $names;
    }

    /**
     * @param  list<int>  $whose
     * @param  array<int, int|null>  $byRow
     * @return list<string>
     */
    private function unknown(array $whose, array $byRow): array
    {
        $unknown = [];
        foreach ($byRow as $at => $id) {
            $cells = array_map(fn (int $column): string => trim($this->rows[$at][$column] ?? ''), $whose);
            $told = trim(implode(' ', $cells));
            if ($id === null && $told !== '') {
                $unknown[] = 'line '.($at + 1).': '.mb_strimwidth(Text::shown($told), 0, 80, '…');
            }
        }

        return array_slice($unknown, 0, self::MOST_TOLD);
    }

    /** @throws CourseRefused */
    private function place(string $heading): int
    {
        $at = array_search(trim($heading), $this->headings(), true);
        if ($at === false) {
            throw CourseRefused::because('the gradebook', 'it has no column “'.Text::shown($heading).'”.');
        }

        return (int) $at;
    }

    /**
     * @param  array<int, array<int, string>>  $rows
     * @return array{int, array<int, array<int, string>>} where the column stands, and every row so long that it has one
     */
    private static function withColumn(array $rows, int $head, string $heading): array
    {
        $at = array_search(trim($heading), array_map(trim(...), $rows[$head]), true);
        $at = $at === false ? count($rows[$head]) : (int) $at;
        $rows[$head][$at] ??= trim($heading);
        foreach (array_keys($rows) as $row) {
            // rows above the headings are a title, and stay as short as they are
            if ($row > $head) {
                $rows[$row] = array_pad($rows[$row], $at + 1, '');
            }
        }

        return [$at, $rows];
    }

    /** With a comma where the table's own numbers have one, or where values are parted by semicolons. */
    private function number(string $points): string
    {
        $cells = array_merge(...array_slice($this->rows, $this->head + 1));
        $commas = preg_grep('~^\d+,\d{1,2}$~', $cells);
        $dots = preg_grep('~^\d+\.\d{1,2}$~', $cells);
        $hasComma = $commas !== [] || ($this->dialect->separator === ';' && $dots === []);

        return $hasComma ? strtr($points, '.', ',') : $points;
    }
}
