<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Readers\TiffDirectory;
use PlainLedger\Core\Media\Readers\TiffFile;
use PlainLedger\Core\Media\Readers\TiffPicture;
use PlainLedger\Core\Media\Readers\TiffSegments;
use PlainLedger\Core\Media\Readers\TiffTag;

/** The first page of a TIFF: greys, palettes and colours of 1 to 32 bits and of floats, with alpha. */
final readonly class TiffDecoder implements Decoder
{
    private const PACKINGS = [TiffPicture::UNPACKED, TiffPicture::LZW, TiffPicture::PACK_BITS, TiffPicture::JPEG];

    private const CHANNELS = [['Y'], ['Y', 'A'], ['R', 'G', 'B'], ['R', 'G', 'B', 'A']];

    public function decodes(Kind $kind): bool
    {
        return $kind === Kind::Tiff;
    }

    /** Of more than eight bits what its strips and tiles hold, packed as its writer packed it. */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string
    {
        if (($facts->encoding->bitDepth ?? 0) <= 8) {
            return null;
        }
        try {
            $page = self::page($source);
            $print = hash_init('xxh128');
            foreach (TiffSegments::of($page, TiffPicture::read($page))->places() as [$place, $length]) {
                hash_update($print, $source->read($place, $length));
            }
        } catch (FileDamaged) {
            return null;
        }

        return hash_final($print, true);
    }

    private static function page(ByteSource $source): TiffDirectory
    {
        $tiff = TiffFile::open(FileEnds::of($source));

        return TiffDirectory::read($tiff, $tiff->firstDirectory());
    }

    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): GdPixels
    {
        try {
            $tiff = TiffFile::open(FileEnds::of($source));
            $page = TiffDirectory::read($tiff, $tiff->firstDirectory());
            $picture = TiffPicture::read($page);
            $segments = TiffSegments::of($page, $picture);
            self::refuseOthers($picture);
            RasterLimits::refuse(
                $picture->width,
                $picture->height,
                intdiv($picture->width * array_sum($picture->bits), 8) * $picture->height,
            );
            RasterLimits::refuse(1, 1, $segments->rawBytes(0) * max(1, $segments->across()));

            return $picture->compression === TiffPicture::JPEG
                ? TiffJpeg::image($source, $page, $picture, $segments)
                : self::image($page, $picture, new TiffLines($source, $tiff->order, $picture, $segments));
        } catch (FileDamaged $damaged) {
            throw PixelsRefused::because('it is broken: '.$damaged->reason, $damaged);
        }
    }

    private static function refuseOthers(TiffPicture $picture): void
    {
        $isKnown = in_array($picture->compression, self::PACKINGS, true)
            || in_array($picture->compression, TiffPicture::DEFLATE, true);
        $why = match (true) {
            ! $isKnown => "what is packed by {$picture->compressionName()} is not decoded here",
            $picture->compression === TiffPicture::JPEG => null,
            $picture->isDifferences() => 'it keeps luminance and differences of colour',
            ! in_array($picture->channels(), self::CHANNELS, true) => 'its channels are '
                .implode(', ', $picture->channels()),
            default => self::oddDepth($picture),
        };
        if ($why !== null) {
            throw PixelsRefused::because($why);
        }
    }

    private static function oddDepth(TiffPicture $picture): ?string
    {
        $bits = $picture->bits[0];
        $known = match (true) {
            $picture->isFloat() => [16, 32],
            $picture->samples > 1 => [8, 16, 32],
            default => [1, 2, 4, 8, 16, 32],
        };
        if (count(array_unique($picture->bits)) > 1) {
            return 'its channels have different depths';
        }

        return in_array($bits, $known, true) ? null : "it has {$bits} bits a channel";
    }

    private static function image(TiffDirectory $page, TiffPicture $picture, TiffLines $kept): GdPixels
    {
        $lines = $kept->lines();
        $colour = match (count($picture->channels())) {
            1 => PngContainer::GREY,
            2 => PngContainer::GREY_ALPHA,
            3 => $picture->isPalette() ? PngContainer::PALETTE : PngContainer::RGB,
            default => PngContainer::RGBA,
        };
        $bits = $picture->bits[0] === 32 ? 16 : $picture->bits[0];
        if ($picture->isFloat()) {
            [$bits, $lines] = [8, self::shown($picture, $lines)];
        }
        $palette = $picture->isPalette() ? self::palette($page, 1 << $picture->bits[0]) : '';

        return PngContainer::image(
            $picture->width,
            $picture->height,
            $colour,
            $bits,
            $lines,
            $palette,
            $kept->areDifferences() ? PngContainer::DIFFERENCES : PngContainer::AS_THEY_ARE,
        );
    }

    /**
     * @param  iterable<string>  $lines
     * @return iterable<string>
     */
    private static function shown(TiffPicture $picture, iterable $lines): iterable
    {
        // of thirty-two bits the upper half is there already
        $table = $picture->bits[0] === 16 ? LightTable::ofHalf() : LightTable::ofUpperFloat();
        $plain = $picture->bits[0] === 16 ? LightTable::ofHalf(true) : LightTable::ofUpperFloat(true);
        $alpha = $picture->alphaSample();
        foreach ($lines as $line) {
            $out = '';
            /** @var array<int, int> $words */
            $words = unpack('n*', $line);
            foreach ($words as $i => $word) {
                $isAlpha = $alpha !== null && ($i - 1) % $picture->samples === $alpha;
                $out .= $isAlpha ? $plain->bytes[$word] : $table->bytes[$word];
            }
            yield $out;
        }
    }

    /** Kept in three columns of sixteen bits. */
    private static function palette(TiffDirectory $page, int $colours): string
    {
        $numbers = $page->numbers(TiffTag::PALETTE, 3 * $colours);
        if (count($numbers) < 3 * $colours) {
            throw PixelsRefused::because('its palette is too short');
        }
        // some write eight bits where sixteen belong
        $shift = max([0, ...$numbers]) > 255 ? 8 : 0;
        $palette = '';
        for ($i = 0; $i < $colours; $i++) {
            foreach ([$i, $colours + $i, 2 * $colours + $i] as $at) {
                $palette .= chr($numbers[$at] >> $shift & 255);
            }
        }

        return $palette;
    }
}
