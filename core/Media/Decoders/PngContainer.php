<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/**
 * Lines of samples in the wrapping of a PNG (ISO/IEC 15948), which gd unpacks by itself and quickly: greys, palettes
 * and colours of 1 to 16 bits, the upper byte first. Nothing is packed in it.
 */
final readonly class PngContainer
{
    public const GREY = 0;

    public const RGB = 2;

    public const PALETTE = 3;

    public const GREY_ALPHA = 4;

    public const RGBA = 6;

    /** What may stand before a line: nothing, or that each sample is the difference to the one of the pixel before. */
    public const AS_THEY_ARE = "\0";

    public const DIFFERENCES = "\1";

    /**
     * @param  iterable<string>  $lines  so many whole lines, from the top
     * @param  string  $palette  red, green and blue of each colour
     * @param  string  $filter  of all lines
     *
     * @throws PixelsRefused
     */
    public static function image(
        int $width,
        int $height,
        int $colour,
        int $bits,
        iterable $lines,
        string $palette = '',
        string $filter = self::AS_THEY_ARE,
    ): GdPixels {
        $image = @imagecreatefromstring(self::file($width, $height, $colour, $bits, $lines, $palette, $filter));

        return $image === false ? throw PixelsRefused::because('there is no memory for it') : GdPixels::of($image);
    }

    /**
     * @param  iterable<string>  $lines  so many whole lines, from the top
     * @param  string  $palette  red, green and blue of each colour
     * @param  string  $filter  of all lines
     *
     * @throws PixelsRefused
     */
    public static function file(
        int $width,
        int $height,
        int $colour,
        int $bits,
        iterable $lines,
        string $palette = '',
        string $filter = self::AS_THEY_ARE,
    ): string {
        $samples = [self::GREY => 1, self::RGB => 3, self::PALETTE => 1, self::GREY_ALPHA => 2, self::RGBA => 4];
        $length = intdiv($width * $samples[$colour] * $bits + 7, 8);
        $packed = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 0]);
        if ($packed === false) {
            throw PixelsRefused::because('there is no memory for it');
        }
        $data = '';
        $count = 0;
        foreach ($lines as $line) {
            if (strlen($line) < $length || ++$count > $height) {
                break;
            }
            $data .= deflate_add($packed, $filter.substr($line, 0, $length), ZLIB_NO_FLUSH);
        }
        if ($count < $height) {
            throw PixelsRefused::because('its data breaks off');
        }
        $data .= deflate_add($packed, '', ZLIB_FINISH);

        return "\x89PNG\r\n\x1A\n"
            .self::chunk('IHDR', pack('NNCCCCC', $width, $height, $bits, $colour, 0, 0, 0))
            .($palette === '' ? '' : self::chunk('PLTE', $palette))
            .self::chunk('IDAT', $data)
            .self::chunk('IEND', '');
    }

    private static function chunk(string $type, string $data): string
    {
        return pack('N', strlen($data)).$type.$data.hash('crc32b', $type.$data, true);
    }
}
