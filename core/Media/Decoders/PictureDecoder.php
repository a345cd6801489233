<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Pixels;

/** The decoder of each kind there is. */
final readonly class PictureDecoder implements Decoder
{
    private const PREMULTIPLIED = 'premultiplied';

    /** What is decoded here, by kind. */
    private const PACKINGS = [
        'png' => ['deflate'], 'jpeg' => ['jpeg'], 'exr' => ['none', 'rle', 'zips', 'zip', 'piz', 'pxr24'],
        'tiff' => ['none', 'lzw', 'deflate', 'packbits', 'jpeg'], 'tga' => ['none', 'rle'], 'dpx' => ['none'],
        'bmp' => ['none', 'rle'], 'webp' => ['lossy', 'lossless'],
    ];

    /** @param  list<Decoder>  $decoders */
    private function __construct(private array $decoders) {}

    public static function standard(): self
    {
        return new self([
            new GdDecoder,
            new ExrDecoder,
            new TiffDecoder,
            new TgaDecoder,
            new DpxDecoder,
            new BmpDecoder,
        ]);
    }

    public function decodes(Kind $kind): bool
    {
        return $this->of($kind) !== null;
    }

    /** Whether such a file can most likely be shown; only decoding it tells for certain. */
    public function shows(MediaFacts $facts): bool
    {
        return $facts->isWhole()
            && $facts->kind !== null
            && $this->decodes($facts->kind)
            && in_array($facts->encoding->compression, self::PACKINGS[$facts->kind->value] ?? [null], true)
            && ($facts->kind !== Kind::Webp || $facts->timing->frameCount === null);
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): Pixels
    {
        $decoder = $facts->kind === null ? null : $this->of($facts->kind);
        if ($decoder === null) {
            throw PixelsRefused::because('its kind is not decoded here');
        }
        $pixels = $decoder->decode($source, $facts, $layer);

        return $pixels instanceof GdPixels && $facts->labels->alphaKind === self::PREMULTIPLIED
            ? $pixels->premultiplied()
            : $pixels;
    }

    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        return $facts->kind === null ? null : $this->of($facts->kind)?->tellsApart($source, $facts);
    }

    private function of(Kind $kind): ?Decoder
    {
        foreach ($this->decoders as $decoder) {
            if ($decoder->decodes($kind)) {
                return $decoder;
            }
        }

        return null;
    }
}
