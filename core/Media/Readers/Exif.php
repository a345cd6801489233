<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

/** The two facts of an Exif block that requirements speak of: density and the mark of sRGB (CIPA DC-008, 4.6). */
final readonly class Exif
{
    private const DENSITY = 0x011A;

    private const UNIT = 0x0128;

    private const EXIF_DIRECTORY = 0x8769;

    public const COLOUR_SPACE = 0xA001;

    private const INCH = 2;

    private const CENTIMETRE = 3;

    private const MOST_ENTRIES = 200;

    /**
     * @param  string  $block  from its byte-order mark on, as far as it was read
     * @return array{int|null, string|null} pixels an inch, and the encoding
     */
    public static function read(string $block): array
    {
        $order = substr($block, 0, 2);
        if (strlen($block) < 8 || ! in_array($order, ['II', 'MM'], true)) {
            return [null, null];
        }
        $main = self::entries($block, self::number($block, 4, 4, $order), $order);

        return [self::density($block, $main, $order), self::colour($block, $main, $order)];
    }

    /**
     * @param  array<int, array{int, int}>  $main
     */
    private static function density(string $block, array $main, string $order): ?int
    {
        $unit = self::value($block, $main[self::UNIT] ?? null, $order) ?? self::INCH;
        $density = self::ratio($block, $main[self::DENSITY] ?? null, $order);
        if ($density === null || ! in_array($unit, [self::INCH, self::CENTIMETRE], true)) {
            return null;
        }
        [$top, $bottom] = $unit === self::CENTIMETRE ? [$density[0] * 254, $density[1] * 100] : $density;

        return intdiv(2 * $top + $bottom, 2 * $bottom);
    }

    /**
     * @param  array<int, array{int, int}>  $main
     */
    private static function colour(string $block, array $main, string $order): ?string
    {
        $below = self::value($block, $main[self::EXIF_DIRECTORY] ?? null, $order);
        if ($below === null) {
            return null;
        }
        $space = self::entries($block, $below, $order)[self::COLOUR_SPACE] ?? null;

        return self::value($block, $space, $order) === 1 ? 'srgb' : null;
    }

    /** @return array<int, array{int, int}> type and place of each value, by tag */
    private static function entries(string $block, int $at, string $order): array
    {
        $entries = [];
        $count = $at < 8 || $at + 2 > strlen($block)
            ? 0
            : min(self::MOST_ENTRIES, self::number($block, $at, 2, $order));
        for ($i = 0; $i < $count && $at + 14 + 12 * $i <= strlen($block); $i++) {
            $entry = $at + 2 + 12 * $i;
            $entries[self::number($block, $entry, 2, $order)] = [
                self::number($block, $entry + 2, 2, $order),
                $entry + 8,
            ];
        }

        return $entries;
    }

    /** @param  array{int, int}|null  $entry */
    private static function value(string $block, ?array $entry, string $order): ?int
    {
        if ($entry === null) {
            return null;
        }

        // a short or a long; nothing else is a plain number here
        return match ($entry[0]) {
            3 => self::number($block, $entry[1], 2, $order),
            4 => self::number($block, $entry[1], 4, $order),
            default => null,
        };
    }

    /**
     * @param  array{int, int}|null  $entry
     * @return array{int, int}|null
     */
    private static function ratio(string $block, ?array $entry, string $order): ?array
    {
        if ($entry === null || $entry[0] !== 5) {
            return null;
        }
        $at = self::number($block, $entry[1], 4, $order);
        if ($at < 8 || $at + 8 > strlen($block)) {
            return null;
        }
        [$top, $bottom] = [self::number($block, $at, 4, $order), self::number($block, $at + 4, 4, $order)];

        return $top > 0 && $bottom > 0 && $top < 1 << 40 ? [$top, $bottom] : null;
    }

    private static function number(string $block, int $at, int $bytes, string $order): int
    {
        $slice = str_pad(substr($block, $at, $bytes), $bytes, "\0");

        return (int) hexdec(bin2hex($order === 'II' ? strrev($slice) : $slice));
    }
}
