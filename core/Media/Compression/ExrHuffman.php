<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Compression;

/**
 * The Huffman coding of OpenEXR's PIZ: lengths of codes of 6 bits each with runs of unused ones, codes that follow from
 * the lengths, and one symbol that repeats the one before (OpenEXR, PIZ compression).
 */
final readonly class ExrHuffman
{
    private const HEADER = 20;

    private const SYMBOLS = 65537;

    private const LONGEST_RUN = 63;

    private const SHORTEST_RUN = 59;

    /** Codes up to so many bits are looked up at once. */
    private const FAST = 14;

    /** No picture makes longer ones. */
    private const LONGEST = 48;

    /**
     * @param  int  $many  symbols that are due
     * @return list<int>|null null where it does not come to them
     */
    public static function unpack(string $packed, int $many): ?array
    {
        if (strlen($packed) < self::HEADER) {
            return null;
        }
        /** @var array{first: int, last: int, bits: int} $is */
        $is = unpack('Vfirst/Vlast/x4/Vbits/x4', $packed);
        if ($is['first'] >= self::SYMBOLS || $is['last'] >= self::SYMBOLS || $is['first'] > $is['last']) {
            return null;
        }
        [$lengths, $at] = self::lengths($packed, $is['first'], $is['last']);
        if ($at === null || intdiv($is['bits'] + 7, 8) > strlen($packed) - $at) {
            return null;
        }

        return self::symbols($packed, $at, self::codes($lengths), $is['last'], $many);
    }

    /** @return array{array<int, int>, int|null} of each symbol that is used; where the codes begin */
    private static function lengths(string $packed, int $first, int $last): array
    {
        [$lengths, $at, $held, $bits] = [[], self::HEADER, 0, 0];
        $take = static function (int $count) use (&$at, &$held, &$bits, $packed): int {
            while ($bits < $count) {
                $held = ($held << 8 | ord($packed[$at++] ?? "\0")) & 0xFFFFFF;
                $bits += 8;
            }
            $bits -= $count;

            return $held >> $bits & (1 << $count) - 1;
        };
        for ($symbol = $first; $symbol <= $last; $symbol++) {
            if ($at > strlen($packed)) {
                return [[], null];
            }
            $length = $take(6);
            if ($length === self::LONGEST_RUN) {
                $symbol += $take(8) + 5;
            } elseif ($length >= self::SHORTEST_RUN) {
                $symbol += $length - self::SHORTEST_RUN + 1;
            } elseif ($length > 0) {
                $lengths[$symbol] = $length;
            }
        }

        return [$lengths, $at];
    }

    /**
     * @param  array<int, int>  $lengths
     * @return array{array<int, int>, array<int, array<int, int>>} length and symbol in one by the bits of short codes,
     *   and the symbols of long ones by length and code
     */
    private static function codes(array $lengths): array
    {
        $counts = array_count_values($lengths);
        $next = [];
        $code = 0;
        for ($length = 58; $length > 0; $length--) {
            $next[$length] = $code;
            $code = $code + ($counts[$length] ?? 0) >> 1;
        }
        [$fast, $long] = [[], []];
        foreach ($lengths as $symbol => $length) {
            $code = $next[$length]++;
            if ($length > self::FAST) {
                $long[$length][$code] = $symbol;

                continue;
            }
            $from = $code << self::FAST - $length;
            for ($i = $from, $to = $from + (1 << self::FAST - $length); $i < $to && $i < 1 << self::FAST; $i++) {
                $fast[$i] = $length << 17 | $symbol;
            }
        }
        ksort($long);

        return [$fast, $long];
    }

    /**
     * @param  array{array<int, int>, array<int, array<int, int>>}  $codes
     * @return list<int>|null
     */
    private static function symbols(string $packed, int $at, array $codes, int $repeat, int $many): ?array
    {
        [$fast, $long] = $codes;
        [$out, $count, $held, $bits, $end] = [[], 0, 0, 0, strlen($packed) + 8];
        $before = 0;
        while ($count < $many) {
            while ($bits < 48) {
                $held = ($held << 8 | ord($packed[$at++] ?? "\0")) & 0xFFFFFFFFFFFFFF;
                $bits += 8;
            }
            $entry = $fast[$held >> $bits - self::FAST & 0x3FFF] ?? 0;
            if ($entry !== 0) {
                $bits -= $entry >> 17;
                $symbol = $entry & 0x1FFFF;
            } else {
                [$length, $symbol] = self::longCode($held, $bits, $long);
                $bits -= $length;
            }
            if ($symbol === -1 || $at > $end) {
                return null;
            }
            if ($symbol !== $repeat) {
                $out[] = $before = $symbol;
                $count++;

                continue;
            }
            $bits -= 8;
            for ($run = $held >> $bits & 255; $run > 0 && $count < $many; $run--, $count++) {
                $out[] = $before;
            }
        }

        return $out;
    }

    /**
     * @param  array<int, array<int, int>>  $long
     * @return array{int, int} length and symbol; -1 where there is no such code
     */
    private static function longCode(int $held, int $bits, array $long): array
    {
        foreach ($long as $length => $codes) {
            $code = $length > min($bits, self::LONGEST) ? -1 : $held >> $bits - $length & (1 << $length) - 1;
            if (isset($codes[$code])) {
                return [$length, $codes[$code]];
            }
        }

        return [0, -1];
    }
}
