<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\Measure\NotUnderstood;

/** A day, and a time where one is told, as people write them in lists. */
final readonly class DueDate
{
    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    /**
     * `2026-12-01`, `2026-12-01 18:00`, `1.12.2026`, `13/12/2026`, `1 Dec 2026`. A day without a time ends at 23:59.
     *
     * @return string `2026-12-01 23:59`
     *
     * @throws NotUnderstood also where day and month could be either
     */
    public static function parse(string $text): string
    {
        $plain = trim($text);
        $time = '23:59';
        if (
            preg_match('~[T\s,]+(\d{1,2}):(\d{2})(?::\d{2}(?:\.\d+)?)?\s*Z?$~i', $plain, $m) === 1
            && (int) $m[1] < 24
            && (int) $m[2] < 60
        ) {
            $time = sprintf('%02d:%02d', (int) $m[1], (int) $m[2]);
            $plain = trim(substr($plain, 0, -strlen($m[0])));
        }
        [$year, $month, $day] = self::day($plain, $text);
        if (! checkdate($month, $day, $year) || $year < 2000 || $year > 2200) {
            throw NotUnderstood::as('a date', $text, '2026-12-01');
        }

        return sprintf('%04d-%02d-%02d %s', $year, $month, $day, $time);
    }

    /** @return array{int, int, int} year, month, day */
    private static function day(string $plain, string $text): array
    {
        if (
            preg_match('~^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$~', $plain, $m) === 1
            || preg_match('~^(\d{4})(\d{2})(\d{2})$~', $plain, $m) === 1
        ) {
            return [(int) $m[1], (int) $m[2], (int) $m[3]];
        }
        // with dots the day stands first
        if (preg_match('~^(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4})$~', $plain, $m) === 1) {
            return [(int) $m[3], (int) $m[2], (int) $m[1]];
        }
        if (preg_match('~^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$~', $plain, $m) === 1) {
            [$a, $b] = [(int) $m[1], (int) $m[2]];
            if ($a <= 12 && $b <= 12 && $a !== $b) {
                throw NotUnderstood::because(
                    "“{$text}” could be two days; write it as ".sprintf(
                        '%04d-%02d-%02d or %04d-%02d-%02d.',
                        (int) $m[3],
                        $b,
                        $a,
                        (int) $m[3],
                        $a,
                        $b,
                    ),
                );
            }

            return $a > 12 ? [(int) $m[3], $b, $a] : [(int) $m[3], $a, $b];
        }
        $words = match (true) {
            preg_match(
                '~^(?:[A-Za-z]+,?\s+)?(\d{1,2})\.?\s+([A-Za-z]{3})[a-z]*\.?,?\s+(\d{4})$~',
                $plain,
                $m,
            ) === 1 => [$m[1], $m[2], $m[3]],
            preg_match('~^([A-Za-z]{3})[a-z]*\.?\s+(\d{1,2}),?\s+(\d{4})$~', $plain, $m) === 1 => [$m[2], $m[1], $m[3]],
            default => null,
        };
        $month = $words === null ? false : array_search(strtolower($words[1]), self::MONTHS, true);
        if ($words !== null && $month !== false) {
            return [(int) $words[2], $month + 1, (int) $words[0]];
        }
        throw NotUnderstood::as('a date', $text, '2026-12-01');
    }
}
