<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

/** Lines of blue, green and red in the wrapping of a bitmap, which gd takes over as they are. */
final readonly class BitmapContainer
{
    private const HEADER = 54;

    /**
     * @param  list<string>  $lines  from the top, three bytes a pixel
     *
     * @throws PixelsRefused
     */
    public static function image(int $width, int $height, array $lines): GdPixels
    {
        // lines stand from the bottom, each filled up to whole four bytes
        $fill = str_repeat("\0", (4 - 3 * $width % 4) % 4);
        $pixels = implode($fill, array_reverse($lines)).$fill;
        $header = 'BM'.pack('VvvV', self::HEADER + strlen($pixels), 0, 0, self::HEADER)
            .pack('VVVvvVVVVVV', 40, $width, $height, 1, 24, 0, strlen($pixels), 0, 0, 0, 0);
        $image = @imagecreatefromstring($header.$pixels);

        return $image === false ? throw PixelsRefused::because('there is no memory for it') : GdPixels::of($image);
    }
}
