<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Readers\TiffDirectory;
use PlainLedger\Core\Media\Readers\TiffPicture;
use PlainLedger\Core\Media\Readers\TiffSegments;
use PlainLedger\Core\Media\Readers\TiffTag;

/** Strips or tiles that are each a JPEG, with tables that all of them share. */
final readonly class TiffJpeg
{
    private const START = "\xFF\xD8";

    private const MOST_SEGMENTS = 20_000;

    /** Says that red, green and blue are kept as they are. */
    private const COLOURS_AS_THEY_ARE = "\xFF\xEE\0\x0E\x41\x64\x6F\x62\x65\0\x64\0\0\0\0\0";

    public static function image(
        ByteSource $source,
        TiffDirectory $page,
        TiffPicture $picture,
        TiffSegments $segments,
    ): GdPixels {
        if ($picture->isPlanar || $picture->samples === 4 || $segments->count() > self::MOST_SEGMENTS) {
            throw PixelsRefused::because('its strips or tiles are JPEGs of a kind that is not decoded here');
        }
        $image = imagecreatetruecolor(max(1, $picture->width), max(1, $picture->height));
        if ($image === false) {
            throw PixelsRefused::because('there is no memory for it');
        }
        $tables = substr($page->bytes(TiffTag::JPEG_TABLES, 1 << 16), 2, -2);
        $mark = $picture->isDifferences() || $picture->samples < 3 ? '' : self::COLOURS_AS_THEY_ARE;
        foreach ($segments->places() as $number => [$place, $length]) {
            $bytes = $source->read($place, $length);
            $piece = @imagecreatefromstring(self::START.$mark.$tables.substr($bytes, 2));
            if ($piece === false || ! str_starts_with($bytes, self::START)) {
                throw PixelsRefused::because('its data is broken');
            }
            imagecopy(
                $image,
                $piece,
                $number % $segments->across() * $segments->width,
                intdiv($number, $segments->across()) * $segments->height,
                0,
                0,
                imagesx($piece),
                imagesy($piece),
            );
        }

        return GdPixels::of($image);
    }
}
