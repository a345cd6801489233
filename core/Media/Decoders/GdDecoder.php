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

    /** Of sixteen bits: what its lines unpack to, each in the filter its writer chose. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        if ($facts->kind !== Kind::Png || ($facts->bitDepth ?? 0) <= 8) {
            return null;
        }
        $print = hash_init('xxh128');
        $unpack = inflate_init(ZLIB_ENCODING_DEFLATE);
        for ($at = 8, $size = $source->size(); $unpack !== false && $at + 12 <= $size; $at += 12 + $length) {
            /** @var array{length: int, type: string} $lead */
            $lead = unpack('Nlength/a4type', $source->read($at, 8));
            $length = $lead['length'];
            for ($read = 0; $lead['type'] === 'IDAT' && $read < $length; $read += 1 << 16) {
                $bytes = @inflate_add($unpack, $source->read($at + 8 + $read, min(1 << 16, $length - $read)));
                if ($bytes === false) {
                    return null;
                }
                hash_update($print, $bytes);
            }
        }

        return hash_final($print, true);
    }
}
