<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\DpxElement;
use PlainLedger\Core\Media\Readers\DpxHeader;

/** DPX of one element: colours of 8, 10, 12 (filled) and 16 bits, greys of 8 and 16. They are shown as kept. */
final readonly class DpxDecoder implements Decoder
{
    private const COLOURS = [
        'Y' => PngContainer::GREY, 'R,G,B' => PngContainer::RGB, 'R,G,B,A' => PngContainer::RGBA,
        'A,B,G,R' => PngContainer::RGBA,
    ];

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Dpx;
    }

    /** Of more than eight bits its samples themselves. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        if (($facts->encoding->bitDepth ?? 0) <= 8) {
            return null;
        }
        try {
            $from = DpxHeader::read(FileEnds::of($source))->pixelPlace();
        } catch (FileDamaged) {
            return null;
        }
        $print = hash_init('xxh128');
        for ($at = $from, $size = $source->size(); $at < $size; $at += 1 << 20) {
            hash_update($print, $source->read($at, 1 << 20));
        }

        return hash_final($print, true);
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): GdPixels
    {
        try {
            $header = DpxHeader::read(FileEnds::of($source));
        } catch (FileDamaged $damaged) {
            throw PixelsRefused::because('its header is broken', $damaged);
        }
        $element = $header->element(0);
        self::refuseOthers($header, $element);
        $line = $element->lineBytes($header->width);
        RasterLimits::refuse($header->width, $header->height, $line * $header->height);
        $data = $source->read($header->pixelPlace(), $source->size());
        // lines are filled up to whole words, which not every writer does
        $filled = 4 * intdiv($line + 3, 4);
        $step = $filled * $header->height <= strlen($data) ? $filled : $line;
        $lines = self::lines($data, $step, $line, $header->height);

        return $element->bits === 10
            ? BitmapContainer::image($header->width, $header->height, self::tens($lines, $header, $element))
            : self::image($header, $element, $lines);
    }

    private static function refuseOthers(DpxHeader $header, DpxElement $element): void
    {
        $channels = implode(',', $element->channels());
        $why = match (true) {
            $header->elements() > 1 => 'its channels stand in several elements',
            $element->isPacked => 'what is packed by run lengths in it is not decoded here',
            $element->isDifferences() => 'it keeps luminance and differences of colour',
            ! isset(self::COLOURS[$channels]) => 'its channels are '.$channels,
            $element->bits === 10 && $channels !== 'R,G,B' => '10 bits of '.$channels.' are not decoded here',
            in_array($element->bits, [10, 12], true) && $element->packing === DpxElement::PACKED => 'samples packed'
                .' without a gap are not decoded here',
            ! in_array($element->bits, [8, 10, 12, 16], true) => "it has {$element->bits} bits a channel",
            default => null,
        };
        if ($why !== null) {
            throw PixelsRefused::because($why);
        }
    }

    /** @return iterable<string> */
    private static function lines(string $data, int $step, int $line, int $height): iterable
    {
        for ($y = 0; $y < $height; $y++) {
            yield substr($data, $y * $step, $line);
        }
    }

    /** @param  iterable<string>  $lines */
    private static function image(DpxHeader $header, DpxElement $element, iterable $lines): GdPixels
    {
        $isTurned = $element->channels()[0] === 'A';
        if ($isTurned && $element->bits > 8) {
            throw PixelsRefused::because('its channels are in an unusual order');
        }
        $isLow = $element->bits === 12 && $element->packing > DpxElement::FILLED_BELOW;
        $ordered = static function (string $line) use ($header, $element, $isTurned, $isLow): string {
            $line = $isTurned ? SampleOrder::turnedFours($line) : $line;
            $line = $element->bits > 8 && $header->order === ByteOrder::Little ? SampleOrder::turnedTwos($line) : $line;

            return $isLow ? self::raised($line) : $line;
        };
        $samples = (static function () use ($lines, $ordered): iterable {
            foreach ($lines as $line) {
                yield $ordered($line);
            }
        })();

        return PngContainer::image(
            $header->width,
            $header->height,
            self::COLOURS[implode(',', $element->channels())],
            $element->bits > 8 ? 16 : 8,
            $samples,
        );
    }

    /** Twelve bits at the lower end of sixteen. */
    private static function raised(string $line): string
    {
        /** @var array<int, int> $words */
        $words = unpack('n*', $line);

        return pack('n*', ...array_map(static fn (int $word): int => $word << 4 & 0xFFFF, $words));
    }

    /**
     * Three samples of ten bits in a word, the two bits left over below or above them.
     *
     * @param  iterable<string>  $lines
     * @return list<string> blue, green and red
     */
    private static function tens(iterable $lines, DpxHeader $header, DpxElement $element): array
    {
        $code = $header->order === ByteOrder::Big ? 'N*' : 'V*';
        $up = $element->packing > DpxElement::FILLED_BELOW ? 0 : 2;
        [$red, $green, $blue] = [22 + $up, 12 + $up, 2 + $up];
        $byte = array_map(chr(...), range(0, 255));
        $out = [];
        foreach ($lines as $line) {
            $colours = '';
            /** @var array<int, int> $words */
            $words = unpack($code, $line);
            foreach ($words as $word) {
                $colours .= $byte[$word >> $blue & 255].$byte[$word >> $green & 255].$byte[$word >> $red & 255];
            }
            if (count($words) < $header->width) {
                throw PixelsRefused::because('its data breaks off');
            }
            $out[] = $colours;
        }

        return $out;
    }
}
