<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;

/** PNG, JPEG and WebP by PHP's gd extension. Sixteen bits a channel come down to eight. */
final readonly class GdDecoder implements Decoder
{
    /** So much is unpacked at a time. */
    private const PIECE = 1 << 16;

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
        return in_array($kind, [Kind::Png, Kind::Jpeg, Kind::Webp], true);
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): GdPixels
    {
        if ($facts->kind === null || ! $this->decodes($facts->kind) || ! $facts->isWhole()) {
            throw PixelsRefused::because('it is no whole PNG, JPEG or WebP');
        }
        if ($facts->kind === Kind::Webp && $facts->timing->frameCount !== null) {
            throw PixelsRefused::because('it is an animation');
        }
        [$width, $height] = [$facts->picture->width ?? 0, $facts->picture->height ?? 0];
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
        if ($facts->kind === Kind::Jpeg) {
            self::refuseManyScans($bytes, $width, $height);
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw PixelsRefused::because('its data is broken');
        }

        return GdPixels::of($image);
    }

    /** Each scan goes over the whole picture once more; a few of these marks may be a preview's in the header. */
    private static function refuseManyScans(string $bytes, int $width, int $height): void
    {
        $scans = substr_count($bytes, self::SCAN);
        if ($scans > self::MOST_SCANS || $scans * $width * $height > self::MOST_PASSED) {
            throw FileTooLarge::of(
                number_format($scans).' scans of '.number_format($width).' × '.number_format($height).' pixels',
            );
        }
    }

    /** Of sixteen bits: what its lines unpack to, each in the filter its writer chose. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        if ($facts->kind !== Kind::Png || ($facts->encoding->bitDepth ?? 0) <= 8) {
            return null;
        }
        $print = hash_init('xxh128');
        $unpack = inflate_init(ZLIB_ENCODING_DEFLATE);
        if ($unpack === false) {
            return null;
        }
        // a line is a byte longer than its pixels; what unpacks to more is not this picture's
        $room = 1024 + 2 * ($facts->picture->height ?? 0) * (16 + 8 * ($facts->picture->width ?? 0));
        foreach (self::pictureData($source) as $packed) {
            $bytes = $packed === null ? false : @inflate_add($unpack, $packed);
            if ($bytes === false || ($room -= strlen($bytes)) < 0) {
                return null;
            }
            hash_update($print, $bytes);
        }

        return hash_final($print, true);
    }

    /**
     * @return iterable<string|null> what the picture's chunks hold, in pieces; null where there are too many of them
     */
    private static function pictureData(ByteSource $source): iterable
    {
        $chunks = 0;
        for ($at = 8, $size = $source->size(); $at + 12 <= $size; $at += 12 + $lead['length']) {
            if (++$chunks > self::MOST_CHUNKS) {
                yield null;

                return;
            }
            /** @var array{length: int, type: string} $lead */
            $lead = unpack('Nlength/a4type', $source->read($at, 8));
            for ($read = 0; $lead['type'] === 'IDAT' && $read < $lead['length']; $read += self::PIECE) {
                yield $source->read($at + 8 + $read, min(self::PIECE, $lead['length'] - $read));
            }
        }
    }
}
