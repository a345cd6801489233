<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\Pixels;

/** Pixels that gd holds. */
final readonly class GdPixels implements Pixels
{
    /** @param  bool  $isPremultiplied  whether its colours are darkened by its alpha already */
    private function __construct(private \GdImage $image, private bool $isPremultiplied = false) {}

    public static function of(\GdImage $image): self
    {
        imagepalettetotruecolor($image);
        imagealphablending($image, false);
        imagesavealpha($image, true);

        return new self($image);
    }

    /** The same, whose colours are darkened by its alpha already. */
    public function premultiplied(): self
    {
        return new self($this->image, true);
    }

    public function width(): int
    {
        return imagesx($this->image);
    }

    public function height(): int
    {
        return imagesy($this->image);
    }

    public function at(int $x, int $y): array
    {
        if ($x < 0 || $y < 0 || $x >= $this->width() || $y >= $this->height()) {
            throw new \OutOfRangeException("There is no pixel {$x},{$y}.");
        }
        $colour = (int) imagecolorat($this->image, $x, $y);

        // gd keeps alpha in seven bits, and turned about
        return [
            $colour >> 16 & 255,
            $colour >> 8 & 255,
            $colour & 255,
            (int) round(255 - ($colour >> 24 & 127) * 255 / 127),
        ];
    }

    public function lines(int $many, ?int $ground = null): iterable
    {
        for ($y = 0; $y < $this->height(); $y += $many) {
            $height = min($many, $this->height() - $y);
            $strip = imagecreatetruecolor(max(1, $this->width()), max(1, $height));
            if ($strip === false) {
                throw PixelsRefused::because('there is no memory for it');
            }
            imagealphablending($strip, $ground !== null);
            imagefilledrectangle($strip, 0, 0, $this->width(), $height, ($ground ?? 0) * 0x010101);
            imagecopy($strip, $this->image, 0, 0, 0, $y, $this->width(), $height);
            yield self::raw($strip);
        }
    }

    public function sample(int $side): string
    {
        $small = imagecreatetruecolor($side, $side);
        if ($small === false) {
            throw PixelsRefused::because('there is no memory for it');
        }
        imagealphablending($small, false);
        imagecopyresampled($small, $this->image, 0, 0, 0, 0, $side, $side, $this->width(), $this->height());

        return self::raw($small);
    }

    /**
     * What gd holds, top line first, by way of a bitmap that is not packed: lines of whole four bytes, the last first,
     * behind a header of 54.
     */
    private static function raw(\GdImage $image): string
    {
        ob_start();
        imagebmp($image, null, false);
        $bytes = substr((string) ob_get_clean(), 54);
        $line = 3 * imagesx($image);
        $lines = array_reverse(str_split($bytes, max(1, $line + (4 - $line % 4) % 4)));

        return implode(
            '',
            $line % 4 === 0
                ? $lines
                : array_map(static fn (string $padded): string => substr($padded, 0, $line), $lines),
        );
    }

    public function thumbnail(int $longest): string
    {
        $scale = min(1, $longest / max($this->width(), $this->height()));
        [$width, $height] = [
            max(1, (int) round($this->width() * $scale)),
            max(1, (int) round($this->height() * $scale)),
        ];
        $small = imagecreatetruecolor($width, $height);
        if ($small === false) {
            throw PixelsRefused::because('there is no memory for it');
        }
        imagealphablending($small, false);
        imagesavealpha($small, true);
        imagecopyresampled($small, $this->image, 0, 0, 0, 0, $width, $height, $this->width(), $this->height());
        if ($this->isPremultiplied) {
            self::straighten($small);
        }
        ob_start();
        imagepng($small, null, 6);

        return (string) ob_get_clean();
    }

    /** As a PNG keeps it: colours without regard to alpha. */
    private static function straighten(\GdImage $image): void
    {
        for ($y = 0, $height = imagesy($image); $y < $height; $y++) {
            for ($x = 0, $width = imagesx($image); $x < $width; $x++) {
                $colour = (int) imagecolorat($image, $x, $y);
                $clear = $colour >> 24 & 127;
                if ($clear === 0 || $clear === 127) {
                    continue;
                }
                $straight = $clear << 24;
                foreach ([16, 8, 0] as $shift) {
                    $value = intdiv(($colour >> $shift & 255) * 127 * 2 + 127 - $clear, 2 * (127 - $clear));
                    $straight |= min(255, $value) << $shift;
                }
                imagesetpixel($image, $x, $y, $straight);
            }
        }
    }
}
