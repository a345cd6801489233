<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Compression;

/**
 * LZW as TIFF has it (revision 6.0, section 13): codes of 9 to 12 bits, the upper bits first, that get longer one code
 * early; 256 clears the table and 257 ends.
 */
final readonly class Lzw
{
    private const CLEAR = 256;

    private const END = 257;

    private const FIRST = 258;

    private const FULL = 4096;

    /** What it comes to, in bytes, up to where it breaks; not far beyond so many. */
    public static function length(string $packed, int $most): int
    {
        $length = 0;
        $lengths = [];
        $before = null;
        foreach (self::codes($packed) as [$code, $next]) {
            if ($code === self::CLEAR) {
                $before = null;

                continue;
            }
            $is = match (true) {
                $code < self::CLEAR => 1,
                $before !== null && $code === $next => $lengths[$before] + 1,
                default => $code < $next ? $lengths[$code] ?? 0 : 0,
            };
            if ($is === 0 || $length >= $most) {
                break;
            }
            $length += $is;
            if ($before !== null) {
                $lengths[$next] = $lengths[$before] + 1;
            }
            $lengths[$code] = $is;
            $before = $code;
        }

        return $length;
    }

    /** At most so many bytes of what it comes to, up to where it breaks. */
    public static function unpack(string $packed, int $most): string
    {
        $out = '';
        $length = 0;
        $table = [];
        $before = '';
        foreach (self::codes($packed) as [$code, $next]) {
            if ($code === self::CLEAR) {
                $before = '';

                continue;
            }
            $text = match (true) {
                $code < self::CLEAR => chr($code),
                $before !== '' && $code === $next => $before.$before[0],
                default => $code < $next ? $table[$code] ?? '' : '',
            };
            if ($text === '' || $length >= $most) {
                break;
            }
            $out .= $text;
            $length += strlen($text);
            if ($before !== '') {
                $table[$next] = $before.$text[0];
            }
            $before = $text;
        }

        return substr($out, 0, $most);
    }

    /** @return \Generator<int, array{int, int}> each code but the end, and the number that the table gets with it */
    private static function codes(string $packed): \Generator
    {
        [$bits, $held, $width, $next, $isFirst] = [0, 0, 9, self::FIRST, true];
        for ($at = 0, $end = strlen($packed); $at < $end; $at++) {
            $held = $held << 8 | ord($packed[$at]);
            $bits += 8;
            if ($bits < $width) {
                continue;
            }
            $bits -= $width;
            $code = $held >> $bits;
            $held &= (1 << $bits) - 1;
            if ($code === self::END) {
                return;
            }
            yield [$code, $next];
            if ($code === self::CLEAR) {
                [$width, $next, $isFirst] = [9, self::FIRST, true];
            } elseif ($isFirst) {
                $isFirst = false;
            } elseif ($next < self::FULL) {
                $next++;
            }
            $width = self::width($next);
        }
    }

    /** Of the next code, in bits. */
    private static function width(int $next): int
    {
        return match (true) {
            $next >= 2047 => 12,
            $next >= 1023 => 11,
            $next >= 511 => 10,
            default => 9,
        };
    }
}
