<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** Numbers of many files in one string, 64 bits each, and as text for keeping. */
final readonly class PackedColumn
{
    /** Quick rather than small: most of it is the same over and over. */
    private const LEVEL = 3;

    public static function at(string $column, int $row): int
    {
        /** @var array{1: int} $packed */
        $packed = unpack('q', $column, 8 * $row);

        return $packed[1];
    }

    public static function put(string $column, int $row, int $value): string
    {
        return substr_replace($column, pack('q', $value), 8 * $row, 8);
    }

    public static function keep(string $column): string
    {
        return base64_encode((string) gzdeflate($column, self::LEVEL));
    }

    public static function kept(string $text): string
    {
        return (string) gzinflate((string) base64_decode($text, true));
    }
}
