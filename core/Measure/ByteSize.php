<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** A count of bytes. Decimal prefixes count by 1000, binary ones (KiB) by 1024 (IEC 80000-13). */
final readonly class ByteSize implements \Stringable
{
    private const UNITS = [
        '' => 1, 'b' => 1, 'byte' => 1, 'bytes' => 1, 'k' => 1000, 'kb' => 1000, 'm' => 10 ** 6, 'mb' => 10 ** 6,
        'g' => 10 ** 9, 'gb' => 10 ** 9, 't' => 10 ** 12, 'tb' => 10 ** 12, 'kib' => 1 << 10, 'mib' => 1 << 20,
        'gib' => 1 << 30, 'tib' => 1 << 40,
    ];

    private function __construct(public int $bytes) {}

    public static function of(int $bytes): self
    {
        return new self(max(0, $bytes));
    }

    /**
     * Reads `500`, `25 MB`, `1.5 GiB`; a part of a byte is rounded down.
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): self
    {
        $plain = strtolower(str_replace([',', ' ', '_'], '', trim($text)));
        if (preg_match('~^(\d{1,15}(?:\.\d{1,9})?)([a-z]*)$~', $plain, $m) !== 1 || ! isset(self::UNITS[$m[2]])) {
            throw NotUnderstood::as('a size', $text, '25 MB or 1.5 GiB');
        }
        $bytes = BigDecimal::of($m[1])->multipliedBy(self::UNITS[$m[2]])->toScale(0, RoundingMode::DOWN);
        if ($bytes->isGreaterThan(PHP_INT_MAX)) {
            throw NotUnderstood::as('a size', $text, '25 MB or 1.5 GiB');
        }

        return new self($bytes->toInt());
    }

    /** Three figures at most, decimal prefixes: `212 KB`, `14.1 MB`. */
    public function __toString(): string
    {
        $size = BigDecimal::of($this->bytes);
        foreach (['B', 'KB', 'MB', 'GB', 'TB'] as $unit) {
            $places = match (true) {
                $unit === 'B' => 0,
                $size->isLessThan(10) => 2,
                $size->isLessThan(100) => 1,
                default => 0,
            };
            $rounded = $size->toScale($places, RoundingMode::HALF_UP);
            if ($rounded->isLessThan(1000) || $unit === 'TB') {
                break;
            }
            $size = $size->dividedBy(1000, 6, RoundingMode::HALF_UP);
        }
        $text = (string) $rounded;

        return (str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text)." {$unit}";
    }
}
