<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

/**
 * Comma-separated values (RFC 4180). A value that a spreadsheet would run as a formula is kept a text by a leading
 * apostrophe, and taken out of it again when it is read.
 */
final readonly class Csv
{
    /** @param  iterable<list<string>>  $rows */
    public static function of(iterable $rows): string
    {
        $text = '';
        foreach ($rows as $row) {
            $text .= implode(',', array_map(self::field(...), $row))."\r\n";
        }

        return $text;
    }

    /** A value that no spreadsheet runs. */
    public static function harmless(string $value): string
    {
        return self::runs(ltrim($value, "'")) ? "'{$value}" : $value;
    }

    private static function field(string $value): string
    {
        $value = self::harmless($value);

        return preg_match('~[",\r\n]~', $value) === 1 ? '"'.str_replace('"', '""', $value).'"' : $value;
    }

    /** A value as it was before it was kept a text. */
    public static function plain(string $value): string
    {
        return str_starts_with($value, "'") && self::runs(ltrim($value, "'")) ? substr($value, 1) : $value;
    }

    /** Numbers and frame ranges may begin with a sign; a spreadsheet runs other things that do. */
    private static function runs(string $value): bool
    {
        return $value !== ''
            && (
                str_contains("=@\t\r", $value[0])
                || (in_array($value[0], ['+', '-'], true) && preg_match('~^[+-]\d[\d.,x-]*$~', $value) !== 1)
            );
    }
}
