<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Shotlist\Readers\CsvTable;
use PlainLedger\Core\Shotlist\Readers\Timeline;
use PlainLedger\Core\Shotlist\ShotDetails;
use PlainLedger\Core\Shotlist\ShotRow;
use PlainLedger\Core\Shotlist\ShotRowReader;
use PlainLedger\Core\Tabular\Table;
use PlainLedger\Core\Tabular\TableRefused;
use PlainLedger\Core\Text\Text;

/** A list as it was brought: its rows, and what they were read from. */
final readonly class BroughtList
{
    /**
     * @param  list<ShotRow>  $rows
     * @param  Table|null  $table  null where it was no table
     * @param  list<Column|null>|null  $columns  what each column means
     * @param  list<string>  $notes  what should be known of it
     */
    private function __construct(
        public array $rows,
        public ?Table $table = null,
        public ?array $columns = null,
        public array $notes = [],
    ) {}

    /**
     * One row for each learner, its code made by a pattern.
     *
     * @param  list<string>  $handles
     */
    public static function roster(array $handles, string $pattern, string $production): self
    {
        $rows = [];
        foreach ($handles as $n => $handle) {
            $code = str_replace(['{learner}', '{production}'], [$handle, $production], $pattern ?: '{learner}');
            $faults = preg_match(ShotRow::CODE, $code) === 1
                ? []
                : ['“'.Text::shown(mb_strimwidth($code, 0, 60, '…')).'” is no code.'];
            $rows[] = new ShotRow($n + 1, $code, new ShotDetails(owner: $handle), [], [], $faults);
        }

        return new self($rows);
    }

    /**
     * @param  array<mixed>  $cells  row by row, as a workbook's page sends them
     * @param  list<mixed>|null  $columns  as somebody corrected them
     *
     * @throws TableRefused
     * @throws \ValueError where a column is said to be what no column is
     */
    public static function cells(array $cells, string $label, ?array $columns): self
    {
        $rows = array_map(static fn (mixed $row): array => is_array($row) ? array_values($row) : [], $cells);

        return self::table(Table::of(array_values($rows), $label, Column::isHeading(...)), $columns);
    }

    /**
     * @param  string  $text  delimited text, or a timeline
     * @param  list<mixed>|null  $columns  as somebody corrected them
     *
     * @throws TableRefused
     * @throws \ValueError where a column is said to be what no column is
     */
    public static function text(string $text, string $label, ?array $columns): self
    {
        if (preg_match('~^\s*[{\[]~', $text) === 1) {
            [$rows, $notes] = Timeline::read($text, $label);

            return new self($rows, notes: $notes);
        }

        return self::table(CsvTable::read($text, $label), $columns);
    }

    /** @param  list<mixed>|null  $corrected */
    private static function table(Table $table, ?array $corrected): self
    {
        $columns = $corrected === null || count($corrected) !== count($table->headings)
            ? Column::guessAll($table->headings)
            : array_map(
                static fn (mixed $word): ?Column => is_string($word) && $word !== '' ? Column::of($word) : null,
                $corrected,
            );
        $rows = array_map(
            static fn (array $cells, int $line): ShotRow => ShotRowReader::read($line, $cells, $columns),
            $table->rows,
            $table->lines,
        );

        return new self($rows, $table, $columns);
    }
}
