<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders\Movies;

use PlainLedger\Core\Media\Decoders\PixelsRefused;

/** The lightness of pictures that nothing packs, read point by point where it stands. */
final readonly class RawLight
{
    /** Where red, green and blue stand in a pixel of so many bytes; and alpha, where there is one. */
    private const COLOURS = [
        'raw 24' => [3, 0, 1, 2, null], 'raw 32' => [4, 1, 2, 3, 0], 'RGBA' => [4, 0, 1, 2, 3],
        'ARGB' => [4, 1, 2, 3, 0], 'BGRA' => [4, 2, 1, 0, 3], 'ABGR' => [4, 3, 2, 1, 0], '24BG' => [3, 2, 1, 0, null],
        'top 24' => [3, 2, 1, 0, null], 'top 32' => [4, 2, 1, 0, null],
        'avi 24' => [3, 2, 1, 0, null], 'avi 32' => [4, 2, 1, 0, null], 'v308' => [3, 1, 0, 2, null],
    ];

    /** Where light stands in two pixels of four bytes. */
    private const LIGHT_IN_PAIRS = [
        '2vuy' => 1, 'UYVY' => 1, 'HDYC' => 1, 'Y422' => 1, 'YUY2' => 0, 'yuvs' => 0, 'yuv2' => 0,
    ];

    /** Pictures whose light stands first, all of it, a byte a pixel. */
    private const LIGHT_FIRST = ['I420', 'IYUV', 'YV12', 'yv12', 'NV12', 'Y800', 'GREY'];

    /** @param  string  $form  its four letters; `raw 24` or `avi 24` where bits alone say it */
    public function __construct(private string $form, private int $width, private int $height) {}

    public static function reads(string $form): bool
    {
        return isset(self::COLOURS[$form])
            || isset(self::LIGHT_IN_PAIRS[$form])
            || in_array($form, [...self::LIGHT_FIRST, 'v210'], true);
    }

    /** @throws PixelsRefused where the picture is shorter than it must be */
    public function grid(string $bytes): string
    {
        $grid = '';
        $isBottomUp = str_starts_with($this->form, 'avi ');
        foreach (PointGrid::points($this->width, $this->height) as [$x, $y]) {
            $grid .= chr($this->light($bytes, $x, $isBottomUp ? $this->height - 1 - $y : $y));
        }

        return $grid;
    }

    private function light(string $bytes, int $x, int $y): int
    {
        if (isset(self::COLOURS[$this->form])) {
            return $this->ofColour($bytes, $x, $y);
        }
        if ($this->form === 'v210') {
            return self::full($this->ofTenBits($bytes, $x, $y) >> 2);
        }
        $at = isset(self::LIGHT_IN_PAIRS[$this->form])
            ? 4 * intdiv($this->width + 1, 2) * $y + 2 * $x + self::LIGHT_IN_PAIRS[$this->form]
            : $this->width * $y + $x;

        return self::full(self::byte($bytes, $at));
    }

    private function ofColour(string $bytes, int $x, int $y): int
    {
        [$each, $red, $green, $blue, $alpha] = self::COLOURS[$this->form];
        $line = $each * $this->width;
        $line += in_array(substr($this->form, 0, 4), ['avi ', 'top '], true) ? (4 - $line % 4) % 4 : 0;
        $at = $line * $y + $each * $x;
        if ($this->form === 'v308') {
            return self::full(self::byte($bytes, $at + $red));
        }
        $light = PointGrid::light(
            self::byte($bytes, $at + $red),
            self::byte($bytes, $at + $green),
            self::byte($bytes, $at + $blue),
        );

        return $alpha === null ? $light : intdiv($light * self::byte($bytes, $at + $alpha), 255);
    }

    /** Six pixels in four words of 32 bits, lines of whole 128 bytes; light stands in six of the twelve fields. */
    private function ofTenBits(string $bytes, int $x, int $y): int
    {
        $line = intdiv($this->width + 47, 48) * 128;
        // fields in order: Cb Y Cr, Y Cb Y, Cr Y Cb, Y Cr Y
        $field = 1 + 2 * ($x % 6);
        $at = $line * $y + 16 * intdiv($x, 6) + 4 * intdiv($field, 3);
        $word = self::byte($bytes, $at)
            | self::byte($bytes, $at + 1) << 8
            | self::byte($bytes, $at + 2) << 16
            | self::byte($bytes, $at + 3) << 24;

        return $word >> 10 * ($field % 3) & 0x3FF;
    }

    private static function byte(string $bytes, int $at): int
    {
        return isset($bytes[$at]) ? ord($bytes[$at]) : throw PixelsRefused::because('a picture is cut short');
    }

    /** From 16 to 235, as light is kept beside colour difference, to 0 to 255. */
    public static function full(int $light): int
    {
        return max(0, min(255, intdiv(($light - 16) * 255 + 109, 219)));
    }
}
