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
    /** @param  list<Decoder>  $decoders */
    private function __construct(private array $decoders) {}

    public static function standard(): self
    {
        return new self([new GdDecoder, new ExrDecoder]);
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
            && (
                $facts->kind !== Kind::Exr
                || in_array($facts->encoding->compression, ['none', 'rle', 'zips', 'zip'], true)
            );
    }

    public function decode(ByteSource $source, MediaFacts $facts): Pixels
    {
        $decoder = $facts->kind === null ? null : $this->of($facts->kind);

        return $decoder === null
            ? throw PixelsRefused::because('its kind is not decoded here')
            : $decoder->decode($source, $facts);
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
