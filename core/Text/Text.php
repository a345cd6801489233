<?php

declare(strict_types=1);

namespace PlainLedger\Core\Text;

/** Names and values that come from outside, made fit to be shown: as valid UTF-8 without control characters. */
final readonly class Text
{
    /** Bytes that are no UTF-8, and control characters, are written `\xHH`; everything else stays as it is. */
    public static function shown(string $raw): string
    {
        if (mb_check_encoding($raw, 'UTF-8')) {
            // also the marks that turn the direction of writing, which let a name look like another
            return (string) preg_replace_callback(
                '/[\x00-\x1F\x7F]|\xC2[\x80-\x9F]|\xE2\x80[\xAA-\xAE]|\xE2\x81[\xA6-\xA9]/',
                self::escape(...),
                $raw,
            );
        }

        return (string) preg_replace_callback('/[^\x20-\x7E]/', self::escape(...), $raw);
    }

    /** A name that should be UTF-8 and was written by something that knew Latin-1 alone is read as that. */
    public static function named(string $raw): string
    {
        return self::shown(
            mb_check_encoding($raw, 'UTF-8') ? $raw : mb_convert_encoding($raw, 'UTF-8', 'Windows-1252'),
        );
    }

    /** @param  array<int|string, string>  $match */
    private static function escape(array $match): string
    {
        return (string) preg_replace('/../', '\x$0', strtoupper(bin2hex($match[0])));
    }

    /** `1 frame`, `52 frames`. */
    public static function count(int $number, string $one, ?string $many = null): string
    {
        return $number.' '.($number === 1 ? $one : $many ?? $one.'s');
    }

    /** `1st`, `2nd`, `3rd`, `11th`. */
    public static function ordinal(int $number): string
    {
        $tens = abs($number) % 100;

        return $number.($tens > 10 && $tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][$tens % 10] ?? 'th'));
    }

    /**
     * `a`, `a and b`, `a, b and c`.
     *
     * @param  list<string>  $items
     */
    public static function series(array $items, string $last = 'and'): string
    {
        $tail = array_pop($items);

        return $items === [] ? (string) $tail : implode(', ', $items)." {$last} {$tail}";
    }
}
