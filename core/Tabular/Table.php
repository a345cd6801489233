<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

/** Rows of text as they came, whatever file they stood in. */
final readonly class Table
{
    public const MOST_ROWS = 10_000;

    public const MOST_COLUMNS = 200;

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $rows  each as long as the headings
     * @param  list<int>  $lines  where each row stood, counted from 1
     */
    private function __construct(public array $headings, public array $rows, public array $lines) {}

    /**
     * Finds the row of headings among the first, lays a second row of them over it where cells were merged, and leaves
     * out rows with nothing in them.
     *
     * @param  list<list<mixed>>  $cells
     * @param  \Closure(string): bool  $isHeading  whether a word is one that stands above a column
     *
     * @throws TableRefused
     */
    public static function of(array $cells, string $label, \Closure $isHeading): self
    {
        $head = self::headingRow($cells, $isHeading)
            ?? throw TableRefused::because($label, 'no row has headings that are known here, like “shot” and “range”.');
        $headings = array_map(self::text(...), array_slice($cells[$head], 0, self::MOST_COLUMNS));
        $second = array_map(self::text(...), array_slice($cells[$head + 1] ?? [], 0, self::MOST_COLUMNS));
        $hasSecond = self::isSecondRow($headings, $second, $isHeading);
        if ($hasSecond) {
            $headings = self::merged($headings, $second, $isHeading);
        }
        $rows = self::rowsBelow($cells, $head + ($hasSecond ? 2 : 1), count($headings), $label);
        if ($rows === []) {
            throw TableRefused::because($label, 'below the headings there are no rows.');
        }
        $lines = array_map(static fn (int $i): int => $i + 1, array_keys($rows));

        return new self(array_values($headings), array_values($rows), $lines);
    }

    /**
     * A merged cell stands above several: the word below it says which.
     *
     * @param  list<string>  $headings
     * @param  list<string>  $second
     * @param  \Closure(string): bool  $isHeading
     * @return array<int, string>
     */
    private static function merged(array $headings, array $second, \Closure $isHeading): array
    {
        $before = '';
        foreach ($second as $column => $word) {
            $before = ($headings[$column] ?? '') !== '' ? $headings[$column] : $before;
            $headings[$column] = match (true) {
                $word === '' => $headings[$column] ?? '',
                $isHeading($word) => $word,
                default => trim("{$before} {$word}"),
            };
        }

        return $headings;
    }

    /**
     * @param  list<list<mixed>>  $cells
     * @return array<int, list<string>> those with anything in them, each so wide, by where it stands
     */
    private static function rowsBelow(array $cells, int $start, int $width, string $label): array
    {
        $rows = [];
        for ($i = $start, $many = count($cells); $i < $many; $i++) {
            $row = array_map(self::text(...), array_slice($cells[$i], 0, $width));
            if (implode('', $row) === '') {
                continue;
            }
            if (count($rows) >= self::MOST_ROWS) {
                $most = number_format(self::MOST_ROWS);
                throw TableRefused::because($label, "it has more than {$most} rows; bring it in pieces.");
            }
            $rows[$i] = array_pad($row, $width, '');
        }

        return $rows;
    }

    /**
     * @param  list<list<mixed>>  $cells
     * @param  \Closure(string): bool  $isHeading
     */
    private static function headingRow(array $cells, \Closure $isHeading): ?int
    {
        $best = null;
        $most = 0;
        foreach (array_slice($cells, 0, 20) as $i => $row) {
            $known = array_filter($row, static fn (mixed $cell): bool => $isHeading(self::text($cell)));
            if (count($known) > $most) {
                [$best, $most] = [$i, count($known)];
            }
        }

        return $best;
    }

    /**
     * @param  list<string>  $first
     * @param  list<string>  $second
     * @param  \Closure(string): bool  $isHeading
     */
    private static function isSecondRow(array $first, array $second, \Closure $isHeading): bool
    {
        $own = array_filter($second, static fn (string $word): bool => $word !== '');
        $known = array_filter($own, static fn (string $word): bool => $isHeading($word));

        // words below empty headings, and nothing that could be a value
        return $known !== []
            && count($known) === count($own)
            && array_filter(array_keys($own), static fn (int $c): bool => ($first[$c] ?? '') === '') !== [];
    }

    private static function text(mixed $cell): string
    {
        $text = match (true) {
            is_string($cell) => $cell,
            is_int($cell) => (string) $cell,
            is_float($cell) => $cell === floor($cell) && abs($cell) < 1e15
                ? number_format($cell, 0, '.', '')
                : (string) json_encode($cell),
            is_bool($cell) => $cell ? 'yes' : 'no',
            default => '',
        };

        return mb_strcut(trim((string) preg_replace('~[\x00-\x1F\x7F\x{00A0}]+~u', ' ', $text)), 0, 4000);
    }
}
