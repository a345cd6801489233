<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SmpteTimecode;
use PlainLedger\Core\Media\TimingFacts;
use PlainLedger\Core\Media\Wholeness;
use PlainLedger\Core\Text\Text;

/**
 * TIFF (revision 6.0 with its supplements) and BigTIFF, of both byte orders. The facts are those of the first page. The
 * quick look reads the directories and follows the tables of strips and tiles; in full, each is unpacked where its
 * packing is known here.
 */
final readonly class TiffReader implements OutliningReader
{
    private const MOST_PAGES = 1000;

    private const LARGEST_PROFILE = 1 << 20;

    private const LARGEST_PACKET = 1 << 18;

    private const INCH = 2;

    private const CENTIMETRE = 3;

    private const ORIENTATIONS = [
        2 => 'mirrored', 3 => 'turned by 180°', 4 => 'mirrored, turned by 180°', 5 => 'mirrored, turned by 270°',
        6 => 'turned by 90°', 7 => 'mirrored, turned by 90°', 8 => 'turned by 270°',
    ];

    private const NOTES = [
        'description' => TiffTag::DESCRIPTION, 'software' => TiffTag::SOFTWARE, 'date' => TiffTag::DATE,
        'artist' => TiffTag::ARTIST, 'host' => TiffTag::HOST,
    ];

    private const CHROMA = [
        '1 1' => '4:4:4', '2 1' => '4:2:2', '2 2' => '4:2:0', '4 1' => '4:1:1', '4 2' => '4:1:0', '1 2' => '4:4:0',
    ];

    public function kind(): Kind
    {
        return Kind::Tiff;
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        if (isset($facts->labels->header['pages']) || $facts->timing->timecode !== null) {
            return null;
        }
        $tiff = TiffFile::open($file);
        $page = TiffDirectory::read($tiff, $tiff->firstDirectory());
        $picture = TiffPicture::read($page);
        if ($picture->compression !== TiffPicture::UNPACKED) {
            return TiffOutline::of($file, $facts, 0, 0);
        }
        $segments = TiffSegments::of($page, $picture);

        return TiffOutline::of($file, $facts, $segments->rawBytes(0), $segments->rawBytes($segments->count() - 1));
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $tiff = TiffFile::open($file);
        $page = TiffDirectory::read($tiff, $tiff->firstDirectory());
        $picture = TiffPicture::read($page);
        $segments = TiffSegments::of($page, $picture);
        $facts = self::facts($tiff, $page, $picture, $segments);
        try {
            (new TiffBody($file->source, $picture, $segments))->check($depth);
            $pages = $this->pages($file, $tiff, $page, $depth);
        } catch (FileDamaged $damaged) {
            return $facts->withDamage($damaged->damage, $damaged->reason);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $pages === 1 ? $facts : $facts->withNote('pages', (string) $pages);
    }

    /** How many there are; those behind the first are asked for their wholeness alone. */
    private function pages(FileEnds $file, TiffFile $tiff, TiffDirectory $page, ScanDepth $depth): int
    {
        $seen = [];
        for ($pages = 1; $page->next !== 0; $pages++) {
            if (isset($seen[$page->next])) {
                throw FileDamaged::header('its directories lead back to one another');
            }
            if ($pages >= self::MOST_PAGES) {
                throw FileTooLarge::of('more than '.self::MOST_PAGES.' pages');
            }
            $seen[$page->next] = true;
            $page = TiffDirectory::read($tiff, $page->next);
            $picture = TiffPicture::read($page);
            (new TiffBody($file->source, $picture, TiffSegments::of($page, $picture)))->check($depth);
        }

        return $pages;
    }

    private static function facts(
        TiffFile $tiff,
        TiffDirectory $page,
        TiffPicture $picture,
        TiffSegments $segments,
    ): MediaFacts {
        return new MediaFacts(
            Kind::Tiff,
            new PictureFacts(
                $picture->width,
                $picture->height,
                self::pixelAspect($page),
                density: self::density($page),
                colour: self::colour($tiff, $page),
                projection: ProjectionTag::in($page->bytes(TiffTag::PACKET, self::LARGEST_PACKET)),
            ),
            new PictureEncoding(
                $picture->bits[0],
                $picture->sample(),
                $picture->channels(),
                $picture->compressionName(),
                chroma: $picture->isDifferences() ? self::CHROMA[implode(' ', $segments->chroma())] ?? null : null,
            ),
            self::timing($tiff, $page),
            new FileLabels(
                header: self::texts($tiff, $page, $picture, $segments),
                alphaKind: $picture->alphaKind(),
            ),
            wholeness: Wholeness::whole(),
        );
    }

    private static function timing(TiffFile $tiff, TiffDirectory $page): TimingFacts
    {
        $rate = $page->ratio(TiffTag::RATE);
        $code = $page->bytes(TiffTag::TIMECODES, 8);

        return new TimingFacts(
            $rate === null ? null : FrameRate::of($rate[0], $rate[1]),
            // frames stand first there, and hours last
            timecode: strlen($code) === 8 ? SmpteTimecode::ofWord(ByteOrder::Little->u32($code)) : null,
        );
    }

    /** Pixels a unit: the denser the rows, the wider each pixel. */
    private static function pixelAspect(TiffDirectory $page): BigRational
    {
        $across = $page->ratio(TiffTag::DENSITY_ACROSS);
        $down = $page->ratio(TiffTag::DENSITY_DOWN);
        if ($across === null || $down === null) {
            return BigRational::one();
        }

        return BigRational::nd($down[0], $down[1])->dividedBy(BigRational::nd($across[0], $across[1]))->simplified();
    }

    private static function density(TiffDirectory $page): ?int
    {
        $across = $page->ratio(TiffTag::DENSITY_ACROSS);
        $unit = $page->number(TiffTag::DENSITY_UNIT) ?? self::INCH;
        if ($across === null || ! in_array($unit, [self::INCH, self::CENTIMETRE], true)) {
            return null;
        }
        [$top, $bottom] = $unit === self::CENTIMETRE ? [$across[0] * 254, $across[1] * 100] : $across;

        return intdiv(2 * $top + $bottom, 2 * $bottom);
    }

    /** An embedded profile, else the mark of the Exif directory. */
    private static function colour(TiffFile $tiff, TiffDirectory $page): ?string
    {
        if ($page->has(TiffTag::PROFILE)) {
            return ColourEncoding::fromProfile('', $page->bytes(TiffTag::PROFILE, self::LARGEST_PROFILE));
        }
        $exif = $page->number(TiffTag::EXIF);
        if ($exif === null) {
            return null;
        }
        try {
            return TiffDirectory::read($tiff, $exif)->number(Exif::COLOUR_SPACE) === 1 ? 'srgb' : null;
        } catch (FileDamaged) {
            // a note that cannot be read is no damage to the picture
            return null;
        }
    }

    /** @return array<string, string> */
    private static function texts(
        TiffFile $tiff,
        TiffDirectory $page,
        TiffPicture $picture,
        TiffSegments $segments,
    ): array {
        $orientation = self::ORIENTATIONS[$page->number(TiffTag::ORIENTATION) ?? 1] ?? null;

        return array_filter([
            'byte order' => $tiff->order === ByteOrder::Big ? 'big' : 'little',
            'cut into' => $segments->isTiled ? "tiles of {$segments->width}x{$segments->height}" : 'strips',
            'long form' => $tiff->isBig ? 'yes' : null,
            'planes' => $picture->isPlanar ? 'apart' : null,
            'palette' => $picture->isPalette() ? 'yes' : null,
            'bits' => count(array_unique($picture->bits)) > 1 ? implode('-', $picture->bits) : null,
            'orientation' => $orientation,
            ...self::notes($page),
        ], static fn (?string $text): bool => $text !== null);
    }

    /** @return array<string, string> */
    private static function notes(TiffDirectory $page): array
    {
        $notes = [];
        foreach (self::NOTES as $name => $tag) {
            $text = $page->text($tag);
            $notes += $text === null ? [] : [$name => Text::named(mb_strcut($text, 0, 400))];
        }

        return $notes;
    }
}
