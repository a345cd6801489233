<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;

/** PNG and JPEG by PHP's gd extension. Sixteen bits a channel come down to eight. */
final readonly class GdDecoder implements Decoder
{
    /** Four bytes a pixel unpacked: some 160 MB. */
    private const MOST_PIXELS = 40_000_000;

    private const MOST_BYTES = 200_000_000;

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Png || $kind === Kind::Jpeg;
    }

    public function decode(ByteSource $source, MediaFacts $facts): GdPixels
    {
        if ($facts->kind === null || ! $this->decodes($facts->kind) || ! $facts->isWhole()) {
            throw PixelsRefused::because('it is no whole PNG or JPEG');
        }
        if (($facts->width ?? 0) * ($facts->height ?? 0) > self::MOST_PIXELS || $source->size() > self::MOST_BYTES) {
            throw PixelsRefused::because('it is too large');
        }
        $bytes = '';
        for ($at = 0; $at < $source->size(); $at += 1 << 20) {
            $bytes .= $source->read($at, 1 << 20);
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw PixelsRefused::because('its data is broken');
        }
        imagepalettetotruecolor($image);
        imagealphablending($image, false);
        imagesavealpha($image, true);

        return new GdPixels($image);
    }
}
