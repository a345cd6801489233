<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/**
 * Bytes of which each is the difference to the one before, added up again. PNG's filter “Sub” (ISO/IEC 15948, 9.2) is
 * just that, so gd does it line by line, many times quicker than a loop; what each line begins with is added after.
 */
final readonly class RunningSums
{
    private const LINE = 1 << 15;

    /** Fewer are sooner done in a loop. */
    private const WORTH_IT = 1 << 13;

    /** @param  int  $before  what the first is the difference to; all wrap at 256 */
    public static function of(string $differences, int $before = 0): string
    {
        if (strlen($differences) < self::WORTH_IT) {
            return self::looped($differences, $before);
        }
        $lines = str_split($differences, self::LINE);
        $last = count($lines) - 1;
        $lines[$last] = str_pad($lines[$last], self::LINE, "\0");
        // a line with every value there is, so that gd leaves out none of its greys
        $lines[] = "\0".str_pad(str_repeat("\1", 255), self::LINE - 1, "\0");
        $image = @imagecreatefromstring(
            PngContainer::file(self::LINE, count($lines), PngContainer::GREY, 8, $lines, '', PngContainer::DIFFERENCES),
        );
        if ($image === false) {
            return self::looped($differences, $before);
        }

        return substr(self::joined(self::greys($image), $last + 1, $before), 0, strlen($differences));
    }

    /** Lines of one byte a pixel, with one more before each. */
    private static function greys(\GdImage $image): string
    {
        ob_start();
        imagepng($image, null, 0, PNG_NO_FILTER);
        $png = (string) ob_get_clean();
        $data = '';
        for ($at = 8; $at + 8 < strlen($png); $at += 12 + $length) {
            /** @var array{1: int} $told */
            $told = unpack('N', $png, $at);
            $length = $told[1];
            $data .= substr($png, $at + 4, 4) === 'IDAT' ? substr($png, $at + 8, $length) : '';
        }

        return (string) gzuncompress($data);
    }

    private static function joined(string $greys, int $lines, int $before): string
    {
        $all = implode('', array_map(chr(...), range(0, 255)));
        $sums = '';
        for ($y = 0; $y < $lines; $y++) {
            $line = substr($greys, $y * (self::LINE + 1) + 1, self::LINE);
            $sums .= $before === 0 ? $line : strtr($line, $all, substr($all, $before).substr($all, 0, $before));
            $before = ord($sums[strlen($sums) - 1]);
        }

        return $sums;
    }

    private static function looped(string $differences, int $before): string
    {
        $sums = '';
        foreach (str_split($differences, self::LINE) as $some) {
            /** @var array<int, int> $bytes */
            $bytes = unpack('C*', $some);
            foreach ($bytes as $i => $byte) {
                $bytes[$i] = $before = $before + $byte & 255;
            }
            $sums .= pack('C*', ...$bytes);
        }

        return $sums;
    }
}
