<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;

/** PNG and JPEG by PHP's gd extension. Sixteen bits a channel come down to eight. */
final readonly class GdDecoder implements Decoder
{
    /** Four bytes a pixel unpacked: some 160 MB. */
    private const MOST_PIXELS = 40_000_000;

    private const MOST_BYTES = 200_000_000;

    /** Start of scan (ITU-T T.81, table B.1). Encoders write some ten of them into a progressive JPEG. */
    private const SCAN = "\xFF\xDA";

    private const MOST_SCANS = 500;

    /** Pixels in all scans together: a quarter of a minute. */
    private const MOST_PASSED = 2_000_000_000;

    /** Chunks of PNG that are followed; encoders write one for each eight kilobytes or more. */
    private const MOST_CHUNKS = 200_000;

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Png || $kind === Kind::Jpeg;
    }

    public function decode(ByteSource $source, MediaFacts $facts): GdPixels
    {
        if ($facts->kind === null || ! $this->decodes($facts->kind) || ! $facts->isWhole()) {
            throw PixelsRefused::because('it is no whole PNG or JPEG');
        }
        [$width, $height] = [$facts->width ?? 0, $facts->height ?? 0];
        if ($width * $height > self::MOST_PIXELS) {
            throw FileTooLarge::pixels($width, $height);
        }
        if ($source->size() > self::MOST_BYTES) {
            throw FileTooLarge::of('a file of '.(string) ByteSize::of($source->size()));
        }
        $bytes = '';
        for ($at = 0; $at < $source->size(); $at += 1 << 20) {
            $bytes .= $source->read($at, 1 << 20);
        }
        // each scan goes over the whole picture once more; a few of these marks may be a preview's in the header
        $scans = $facts->kind === Kind::Jpeg ? substr_count($bytes, self::SCAN) : 0;
        if ($scans > self::MOST_SCANS || $scans * $width * $height > self::MOST_PASSED) {
            throw FileTooLarge::of(
                number_format($scans).' scans of '.number_format($width).' × '.number_format($height).' pixels',
            );
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
        // a line is a byte longer than its pixels; what unpacks to more is not this picture's
        $room = 1024 + 2 * ($facts->height ?? 0) * (16 + 8 * ($facts->width ?? 0));
        $chunks = 0;
        for ($at = 8, $size = $source->size(); $unpack !== false && $at + 12 <= $size; $at += 12 + $length) {
            if (++$chunks > self::MOST_CHUNKS) {
                return null;
            }
            /** @var array{length: int, type: string} $lead */
            $lead = unpack('Nlength/a4type', $source->read($at, 8));
            $length = $lead['length'];
            for ($read = 0; $lead['type'] === 'IDAT' && $read < $length; $read += 1 << 16) {
                $bytes = @inflate_add($unpack, $source->read($at + 8 + $read, min(1 << 16, $length - $read)));
                if ($bytes === false || ($room -= strlen($bytes)) < 0) {
                    return null;
                }
                hash_update($print, $bytes);
            }
        }

        return hash_final($print, true);
    }
}
