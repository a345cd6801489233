<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders\Movies;

use PlainLedger\Core\Media\Decoders\GdPixels;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\Decoders\PngContainer;
use PlainLedger\Core\Media\Decoders\SampleOrder;

/**
 * A picture that nothing packs, whole. Of light and colour difference the light alone is taken: what is black, stands
 * still or is another picture shows in it.
 */
final readonly class RawPicture
{
    private const LIGHT_LAST_IN_PAIRS = ['2vuy', 'UYVY', 'HDYC', 'Y422'];

    private const LIGHT_FIRST_IN_PAIRS = ['YUY2', 'yuvs', 'yuv2'];

    /** Colour type and bits of the lines that come of it. */
    private int $colour;

    private int $bits;

    private string $anyLight;

    /** Each byte of light as it is from 0 to 255. */
    private string $fullLight;

    /** @param  string  $form  as {@see RawLight} reads it */
    public function __construct(private string $form, private int $width, private int $height)
    {
        [$this->colour, $this->bits] = $this->kept();
        $this->anyLight = implode('', array_map(chr(...), range(0, 255)));
        $this->fullLight = implode('', array_map(
            static fn (int $light): string => chr(RawLight::full($light)),
            range(0, 255),
        ));
    }

    /** Whether colour difference was left out, so that pixels as they come do not tell two pictures apart. */
    public function isLightAlone(): bool
    {
        return $this->colour === PngContainer::GREY;
    }

    /** @throws PixelsRefused where the picture is shorter than it must be */
    public function pixels(string $bytes): GdPixels
    {
        $isBottomUp = str_starts_with($this->form, 'avi ');
        $length = $this->lineLength();
        $lines = [];
        for ($y = 0; $y < $this->height; $y++) {
            $line = substr($bytes, $length * ($isBottomUp ? $this->height - 1 - $y : $y), $length);
            $lines[] = strlen($line) < $length ? throw PixelsRefused::because('a picture is cut short')
                : $this->ordered($line);
        }

        return PngContainer::image($this->width, $this->height, $this->colour, $this->bits, $lines);
    }

    /** @return array{int, int} colour type and bits */
    private function kept(): array
    {
        return match (true) {
            in_array($this->form, ['RGBA', 'ARGB', 'raw 32', 'BGRA', 'ABGR'], true) => [PngContainer::RGBA, 8],
            in_array($this->form, [...self::LIGHT_LAST_IN_PAIRS, ...self::LIGHT_FIRST_IN_PAIRS], true) => [
                PngContainer::GREY, 16,
            ],
            in_array($this->form, ['raw 24', '24BG', 'top 24', 'top 32', 'avi 24', 'avi 32'], true) => [
                PngContainer::RGB, 8,
            ],
            default => [PngContainer::GREY, 8],
        };
    }

    private function lineLength(): int
    {
        $isPadded = in_array(substr($this->form, 0, 4), ['avi ', 'top '], true);

        return match (true) {
            $this->form === 'v210' => intdiv($this->width + 47, 48) * 128,
            $this->form === 'v308', $this->form === '24BG', $this->form === 'raw 24' => 3 * $this->width,
            $isPadded && str_ends_with($this->form, '24') => 3 * $this->width + (4 - 3 * $this->width % 4) % 4,
            $this->bits === 16 => 4 * intdiv($this->width + 1, 2),
            $this->isLightAlone() => $this->width,
            default => 4 * $this->width,
        };
    }

    private function ordered(string $line): string
    {
        return match (true) {
            $this->form === 'raw 24', $this->form === 'RGBA' => $line,
            $this->form === 'raw 32', $this->form === 'ARGB' => substr($line, 1).$line[0],
            $this->form === 'BGRA' => SampleOrder::redFirst($line),
            $this->form === 'ABGR' => SampleOrder::turnedFours($line),
            in_array($this->form, ['24BG', 'top 24', 'avi 24'], true) => SampleOrder::turnedThrees($line),
            in_array($this->form, ['top 32', 'avi 32'], true) => SampleOrder::turnedThrees(
                SampleOrder::firstThree($line),
            ),
            default => $this->full($this->light($line)),
        };
    }

    private function light(string $line): string
    {
        return match (true) {
            $this->form === 'v308' => (string) preg_replace('~.(.).~s', '$1', $line),
            $this->form === 'v210' => $this->ofTenBits($line),
            in_array($this->form, self::LIGHT_LAST_IN_PAIRS, true) => substr($line, 1)."\0",
            default => $line,
        };
    }

    /** Six pixels in four words: light stands in the upper eight of the second, fourth, sixth field and so on. */
    private function ofTenBits(string $line): string
    {
        $light = '';
        /** @var array<int, int> $words */
        $words = unpack('V*', $line);
        for ($i = 1, $many = count($words); $i + 3 <= $many; $i += 4) {
            $light .= chr($words[$i] >> 12 & 255)
                .chr($words[$i + 1] >> 2 & 255)
                .chr($words[$i + 1] >> 22 & 255)
                .chr($words[$i + 2] >> 12 & 255)
                .chr($words[$i + 3] >> 2 & 255)
                .chr($words[$i + 3] >> 22 & 255);
        }

        return substr($light, 0, $this->width);
    }

    /** From 16 to 235, as light is kept beside colour difference, to 0 to 255 (ITU-R BT.601, 2.5.3). */
    private function full(string $light): string
    {
        return strtr($light, $this->anyLight, $this->fullLight);
    }
}
