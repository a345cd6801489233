<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\TgaHeader;

/** TGA of every type, unpacked or by run lengths. */
final readonly class TgaDecoder implements Decoder
{
    /** Masks of red, green and blue. */
    private const FIVE_BITS = [0x7C00, 0x3E0, 0x1F];

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Tga;
    }

    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        return null;
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): GdPixels
    {
        $header = TgaHeader::read(str_pad($source->read(0, TgaHeader::LENGTH), TgaHeader::LENGTH, "\0"));
        $line = $header->width() * $header->pixelLength();
        RasterLimits::refuse($header->width(), $header->height(), $line * $header->height());
        $pixels = $header->isPacked()
            ? self::unpacked($source, $header)
            : $source->read($header->pixelPlace(), $line * $header->height());
        if (strlen($pixels) < $line * $header->height()) {
            throw PixelsRefused::because('its data breaks off');
        }
        $lines = str_split($pixels, max(1, $line));
        $lines = $header->isFromTop() ? $lines : array_reverse($lines);

        return self::image($header, $header->isFromRight() ? self::turned($lines, $header) : $lines, $source, $facts);
    }

    private static function unpacked(ByteSource $source, TgaHeader $header): string
    {
        $pixel = $header->pixelLength();
        $due = $header->width() * $header->height() * $pixel;
        $packed = $source->read($header->pixelPlace(), min($source->size(), 2 * $due + 1024));
        $pieces = [];
        for ($at = 0, $end = strlen($packed), $came = 0; $at < $end && $came < $due;) {
            $count = (ord($packed[$at]) & 127) + 1;
            $isRun = ord($packed[$at]) > 127;
            $piece = substr($packed, $at + 1, $isRun ? $pixel : $count * $pixel);
            $pieces[] = $isRun ? str_repeat($piece, $count) : $piece;
            $came += $count * $pixel;
            $at += 1 + strlen($piece);
        }

        return substr(implode('', $pieces), 0, $due);
    }

    /**
     * @param  list<string>  $lines
     * @return list<string>
     */
    private static function turned(array $lines, TgaHeader $header): array
    {
        $pixel = max(1, $header->pixelLength());

        return array_map(
            static fn (string $line): string => implode('', array_reverse(str_split($line, $pixel))),
            $lines,
        );
    }

    /** @param  list<string>  $lines */
    private static function image(TgaHeader $header, array $lines, ByteSource $source, MediaFacts $facts): GdPixels
    {
        [$width, $height] = [$header->width(), $header->height()];
        $alpha = $facts->encoding->hasAlpha() === true;
        if ($header->isMapped()) {
            $palette = self::palette($source, $header);

            return PngContainer::image($width, $height, PngContainer::PALETTE, 8, $lines, $palette);
        }
        if ($header->isGrey()) {
            return match (true) {
                $header->bits() === 8 => PngContainer::image($width, $height, PngContainer::GREY, 8, $lines),
                $alpha => PngContainer::image($width, $height, PngContainer::GREY_ALPHA, 8, $lines),
                default => throw PixelsRefused::because('its greys have '.$header->bits().' bits'),
            };
        }

        if ($header->bits() === 32 && $alpha) {
            $lines = array_map(SampleOrder::redFirst(...), $lines);

            return PngContainer::image($width, $height, PngContainer::RGBA, 8, $lines);
        }
        $three = match ($header->bits()) {
            24 => $lines,
            32 => array_map(SampleOrder::firstThree(...), $lines),
            default => array_map(static fn (string $l): string => SampleOrder::fromMasks($l, self::FIVE_BITS), $lines),
        };

        return BitmapContainer::image($width, $height, $three);
    }

    private static function palette(ByteSource $source, TgaHeader $header): string
    {
        $length = intdiv($header->colourBits() + 7, 8);
        $bytes = $source->read($header->palettePlace(), $header->colours() * $length);
        $colours = match ($length) {
            3 => $bytes,
            4 => SampleOrder::firstThree($bytes),
            default => SampleOrder::fromMasks($bytes, self::FIVE_BITS),
        };
        $before = str_repeat("\0", 3 * min(256, $header->firstColour()));

        return str_pad(substr($before.SampleOrder::turnedThrees($colours), 0, 768), 768, "\0");
    }
}
