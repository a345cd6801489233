<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/** Samples of lines put into the order that what takes them wants, by the means that are quickest for many. */
final readonly class SampleOrder
{
    /** Of blue, green, red and alpha: red first. */
    public static function redFirst(string $line): string
    {
        return (string) preg_replace('~(.)(.)(.)(.)~s', '$3$2$1$4', $line);
    }

    /** Of four bytes a pixel the first three. */
    public static function firstThree(string $line): string
    {
        return (string) preg_replace('~(...).~s', '$1', $line);
    }

    /** Of three bytes a pixel: the last first. */
    public static function turnedThrees(string $line): string
    {
        return (string) preg_replace('~(.)(.)(.)~s', '$3$2$1', $line);
    }

    /** Of four bytes a pixel: the last first. */
    public static function turnedFours(string $line): string
    {
        return (string) preg_replace('~(.)(.)(.)(.)~s', '$4$3$2$1', $line);
    }

    /** Of two bytes a sample: the other first. */
    public static function turnedTwos(string $line): string
    {
        return (string) preg_replace('~(.)(.)~s', '$2$1', $line);
    }

    /**
     * Words of sixteen bits, the lower byte first, as blue, green and red of eight each.
     *
     * @param  array{int, int, int}  $masks  of red, green and blue
     */
    public static function fromMasks(string $line, array $masks): string
    {
        $tables = [];
        foreach (array_reverse($masks) as $mask) {
            $shift = strlen(decbin($mask)) - substr_count(decbin($mask), '1');
            $most = max(1, $mask >> $shift);
            $tables[] = [$mask, $shift, array_map(
                static fn (int $value): string => chr(intdiv(255 * $value + intdiv($most, 2), $most)),
                range(0, min(65535, $most)),
            )];
        }
        [[$b, $bShift, $blue], [$g, $gShift, $green], [$r, $rShift, $red]] = $tables;
        $out = '';
        /** @var array<int, int> $words */
        $words = unpack('v*', substr($line, 0, strlen($line) & ~1));
        foreach ($words as $word) {
            $out .= $blue[($word & $b) >> $bShift].$green[($word & $g) >> $gShift].$red[($word & $r) >> $rShift];
        }

        return $out;
    }
}
