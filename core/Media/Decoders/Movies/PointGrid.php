<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders\Movies;

use PlainLedger\Core\Media\Pixels;

/** The lightness of a picture at the same points of every picture of its shape, a byte each. */
final readonly class PointGrid
{
    public const ACROSS = 48;

    public const DOWN = 27;

    public const COUNT = self::ACROSS * self::DOWN;

    /** @return \Generator<int, array{int, int}> in the middle of each of its cells */
    public static function points(int $width, int $height): \Generator
    {
        for ($y = 0; $y < self::DOWN; $y++) {
            for ($x = 0; $x < self::ACROSS; $x++) {
                yield [
                    intdiv((2 * $x + 1) * $width, 2 * self::ACROSS),
                    intdiv((2 * $y + 1) * $height, 2 * self::DOWN),
                ];
            }
        }
    }

    /** What shines through counts as black. */
    public static function of(Pixels $pixels): string
    {
        $grid = '';
        foreach (self::points($pixels->width(), $pixels->height()) as [$x, $y]) {
            [$red, $green, $blue, $alpha] = $pixels->at($x, $y);
            $grid .= chr(intdiv(self::light($red, $green, $blue) * $alpha, 255));
        }

        return $grid;
    }

    /** Of eight bits each (ITU-R BT.601, 2.5.1). */
    public static function light(int $red, int $green, int $blue): int
    {
        return 77 * $red + 150 * $green + 29 * $blue + 128 >> 8;
    }
}
