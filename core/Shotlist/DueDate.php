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
        $separated = preg_match('~^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$~', $plain, $m) === 1;
        if ($separated || preg_match('~^(\d{4})(\d{2})(\d{2})$~', $plain, $m) === 1) {
            return [(int) $m[1], (int) $m[2], (int) $m[3]];
        }
        // with dots the day stands first
        if (preg_match('~^(\d{1,2})\.\s*(\d{1,2})\.\s*(\d{4})$~', $plain, $m) === 1) {
            return [(int) $m[3], (int) $m[2], (int) $m[1]];
        }
        if (preg_match('~^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$~', $plain, $m) === 1) {
            return self::eitherWay((int) $m[1], (int) $m[2], (int) $m[3], $text);
        }

        return self::inWords($plain) ?? throw NotUnderstood::as('a date', $text, '2026-12-01');
    }

    /** @return array{int, int, int} */
    private static function eitherWay(int $a, int $b, int $year, string $text): array
    {
        if ($a <= 12 && $b <= 12 && $a !== $b) {
            $either = sprintf('%04d-%02d-%02d or %04d-%02d-%02d.', $year, $b, $a, $year, $a, $b);
            throw NotUnderstood::because("“{$text}” could be two days; write it as {$either}");
        }

        return $a > 12 ? [$year, $b, $a] : [$year, $a, $b];
    }

    /** @return array{int, int, int}|null `Tue, 1 December 2026`, `Dec 1, 2026` */
    private static function inWords(string $plain): ?array
    {
        $dayFirst = '~^(?:[A-Za-z]+,?\s+)?(?<day>\d{1,2})\.?\s+(?<month>[A-Za-z]{3})[a-z]*\.?,?\s+(?<year>\d{4})$~';
        $monthFirst = '~^(?<month>[A-Za-z]{3})[a-z]*\.?\s+(?<day>\d{1,2}),?\s+(?<year>\d{4})$~';
        if (preg_match($dayFirst, $plain, $m) !== 1 && preg_match($monthFirst, $plain, $m) !== 1) {
            return null;
        }
        $month = array_search(strtolower($m['month']), self::MONTHS, true);

        return $month === false ? null : [(int) $m['year'], $month + 1, (int) $m['day']];
    }
}
