<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

/**
 * Separated values as programs write them (RFC 4180 and its cousins): comma, semicolon, tab or bar between, quotes
 * doubled, any line end; UTF-8, UTF-16 with its mark, or else Windows-1252.
 */
final readonly class SeparatedValues
{
    private const MOST_BYTES = 20_000_000;

    /**
     * @return list<list<string>>
     *
     * @throws TableRefused
     */
    public static function cells(string $bytes, string $label): array
    {
        $rows = [];
        foreach (self::asWritten($bytes, $label)[1] as $row) {
            $rows[] = array_map(Csv::plain(...), $row);
        }

        return $rows;
    }

    /**
     * Every value as it stands there, and how all of it was written.
     *
     * @return array{Dialect, list<list<string>>}
     *
     * @throws TableRefused
     */
    public static function asWritten(string $bytes, string $label): array
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw TableRefused::because($label, 'it has more than 20 MB; that is no list.');
        }
        [$encoding, $text] = self::decoded($bytes, $label);
        $separator = self::separator($text);

        return [Dialect::of($bytes, $encoding, $text, $separator), self::rows($text, $separator, $label)];
    }

    /**
     * @return array{string, string} encoding, and the text as UTF-8 without a mark
     *
     * @throws TableRefused
     */
    private static function decoded(string $bytes, string $label): array
    {
        [$encoding, $text] = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => ['UTF-8', substr($bytes, 3)],
            str_starts_with($bytes, "\xFF\xFE") => [
                'UTF-16LE',
                mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            ],
            str_starts_with($bytes, "\xFE\xFF") => [
                'UTF-16BE',
                mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            ],
            default => ['UTF-8', $bytes],
        };
        if (! mb_check_encoding($text, 'UTF-8')) {
            [$encoding, $text] = ['Windows-1252', mb_convert_encoding($text, 'UTF-8', 'Windows-1252')];
        }
        if (str_contains(substr($text, 0, 4096), "\0") || str_starts_with($bytes, "PK\x03\x04")) {
            throw TableRefused::because(
                $label,
                'it is no text. Save a spreadsheet as CSV; the pages also read one whose name ends in .xlsx.',
            );
        }

        return [$encoding, $text];
    }

    /**
     * The one that stands most evenly in the first lines; a comma where none does.
     *
     * @return non-empty-string
     */
    private static function separator(string $text): string
    {
        $lines = array_slice(preg_split('~\R~', substr($text, 0, 20_000)) ?: [], 0, 10);
        $best = [',', 0];
        foreach ([',', ';', "\t", '|'] as $each) {
            $counts = array_filter(
                array_map(
                    static fn (string $line): int => substr_count((string) preg_replace('~"[^"]*"~', '', $line), $each),
                    $lines,
                ),
            );
            $often = $counts === [] ? 0 : count($counts) * (count(array_unique($counts)) === 1 ? 2 : 1) * min($counts);
            $best = $often > $best[1] ? [$each, $often] : $best;
        }

        return $best[0];
    }

    /** @return list<list<string>> */
    private static function rows(string $text, string $between, string $label): array
    {
        $rows = [];
        $stream = fopen('php://temp', 'r+');
        if ($stream === false) {
            throw TableRefused::because($label, 'there is no room to read it.');
        }
        fwrite($stream, str_replace(["\r\n", "\r"], "\n", $text));
        rewind($stream);
        while (($row = fgetcsv($stream, null, $between, '"', '')) !== false) {
            $rows[] = array_map(strval(...), array_slice($row, 0, Table::MOST_COLUMNS));
            if (count($rows) > Table::MOST_ROWS + 40) {
                break;
            }
        }
        fclose($stream);

        return $rows;
    }
}
