<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\BmpHeader;

/** BMP of 1 to 32 bits, by masks, palettes and run lengths. */
final readonly class BmpDecoder implements Decoder
{
    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Bmp;
    }

    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        return null;
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): GdPixels
    {
        $file = FileEnds::of($source);
        try {
            $header = BmpHeader::read($file);
        } catch (FileDamaged $damaged) {
            throw PixelsRefused::because('its header is broken', $damaged);
        }
        [$width, $height] = [$header->width(), $header->height()];
        RasterLimits::refuse($width, $height, $header->lineBytes() * $height);
        $lines = $this->lines($source, $header);
        $lines = $header->isFromTop() ? $lines : array_reverse($lines);
        if (! $header->hasPalette()) {
            return self::colours($header, $lines);
        }
        $palette = str_pad(SampleOrder::turnedThrees(implode('', $header->palette($file))), 3 << $header->bits(), "\0");

        return PngContainer::image($width, $height, PngContainer::PALETTE, $header->bits(), $lines, $palette);
    }

    /** @return list<string> in the order of the file */
    private function lines(ByteSource $source, BmpHeader $header): array
    {
        if ($header->isPlain()) {
            return str_split(
                $source->read($header->pixelPlace(), $header->lineBytes() * $header->height()),
                max(1, $header->lineBytes()),
            );
        }
        if (! $header->isRuns() || $header->runBits() > 8) {
            throw PixelsRefused::because('what is packed by '.$header->compression().' in it is not decoded here');
        }
        $packed = $source->read($header->pixelPlace(), min($source->size(), 64 << 20));

        return BmpRunLines::unpack($packed, $header->width(), $header->height(), $header->runBits());
    }

    /** @param  list<string>  $lines */
    private static function colours(BmpHeader $header, array $lines): GdPixels
    {
        [$width, $height] = [$header->width(), $header->height()];
        [$red, $green, $blue, $alpha] = $header->masks();
        $usual = [$red, $green, $blue] === [0xFF0000, 0xFF00, 0xFF];
        if ($header->bits() === 16) {
            return BitmapContainer::image($width, $height, array_map(
                static fn (string $line): string => substr(
                    SampleOrder::fromMasks($line, [$red, $green, $blue]),
                    0,
                    3 * $width,
                ),
                $lines,
            ));
        }
        if (! $usual) {
            throw PixelsRefused::because('its channels are in an unusual order');
        }

        return match (true) {
            $header->bits() === 24 => BitmapContainer::image(
                $width,
                $height,
                array_map(static fn (string $line): string => substr($line, 0, 3 * $width), $lines),
            ),
            $alpha > 0 => PngContainer::image(
                $width,
                $height,
                PngContainer::RGBA,
                8,
                array_map(SampleOrder::redFirst(...), $lines),
            ),
            default => BitmapContainer::image($width, $height, array_map(SampleOrder::firstThree(...), $lines)),
        };
    }
}
