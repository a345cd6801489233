<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders\Movies;

use PlainLedger\Core\Media\Decoders\GdPixels;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\Decoders\PngContainer;

/**
 * Pictures of the Animation codec: runs of pixels, line by line, over the picture before. Of 24 and 32 bits a pixel,
 * the latter with alpha first.
 */
final class RunLines
{
    private const LINE_ENDS = -1;

    private const SKIPS = 0;

    /** @var array<int, string> */
    private array $lines;

    /** @param  int  $each  bytes of a pixel, 3 or 4 */
    public function __construct(private readonly int $width, private readonly int $height, private readonly int $each)
    {
        $this->lines = array_fill(0, $height, str_repeat("\0", $width * $each));
    }

    /** @throws PixelsRefused where it writes outside the picture */
    public function draw(string $bytes): void
    {
        if (strlen($bytes) < 8) {
            return;
        }
        $at = 6;
        [$first, $many] = [0, $this->height];
        if ((self::short($bytes, 4) & 8) !== 0) {
            [$first, $many] = [self::short($bytes, 6), self::short($bytes, 10)];
            $at = 14;
        }
        for ($y = $first; $y < $first + $many && $at < strlen($bytes); $y++) {
            if ($y >= $this->height) {
                throw PixelsRefused::because('a picture has more lines than it should');
            }
            $at = $this->line($bytes, $at, $y);
        }
    }

    private function line(string $bytes, int $at, int $y): int
    {
        $x = $this->skip($bytes, $at++);
        while ($at < strlen($bytes)) {
            $code = ord($bytes[$at]);
            $code -= $code > 127 ? 256 : 0;
            $at++;
            if ($code === self::LINE_ENDS) {
                return $at;
            }
            if ($code === self::SKIPS) {
                $x += $this->skip($bytes, $at++);

                continue;
            }
            $pixels = $code > 0
                ? substr($bytes, $at, $code * $this->each)
                : str_repeat(substr($bytes, $at, $this->each), -$code);
            $at += ($code > 0 ? $code : 1) * $this->each;
            $this->put($x, $y, $pixels);
            $x += abs($code);
        }

        return $at;
    }

    private function put(int $x, int $y, string $pixels): void
    {
        if ($x < 0 || $x * $this->each + strlen($pixels) > $this->width * $this->each) {
            throw PixelsRefused::because('a picture has longer lines than it should');
        }
        $this->lines[$y] = substr_replace($this->lines[$y], $pixels, $x * $this->each, strlen($pixels));
    }

    /** One less than it says, since a line may begin at its first pixel. */
    private function skip(string $bytes, int $at): int
    {
        return ord($bytes[$at] ?? "\1") - 1;
    }

    private static function short(string $bytes, int $at): int
    {
        return ord($bytes[$at] ?? "\0") << 8 | ord($bytes[$at + 1] ?? "\0");
    }

    public function grid(): string
    {
        $grid = '';
        $lead = $this->each - 3;
        foreach (PointGrid::points($this->width, $this->height) as [$x, $y]) {
            $at = $x * $this->each + $lead;
            $line = $this->lines[$y];
            $light = PointGrid::light(ord($line[$at]), ord($line[$at + 1]), ord($line[$at + 2]));
            $grid .= chr($lead === 0 ? $light : intdiv($light * ord($line[$at - 1]), 255));
        }

        return $grid;
    }

    /** All of it as it stands now. */
    public function pixels(): GdPixels
    {
        $lines = $this->each === 3
            ? $this->lines
            : array_map(static fn (string $line): string => substr($line, 1).$line[0], $this->lines);
        $colour = $this->each === 3 ? PngContainer::RGB : PngContainer::RGBA;

        return PngContainer::image($this->width, $this->height, $colour, 8, $lines);
    }
}
