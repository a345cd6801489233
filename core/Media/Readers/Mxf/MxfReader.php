<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Mxf;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\OrderTally;
use PlainLedger\Core\Media\Movie\PictureOrder;
use PlainLedger\Core\Media\Movie\PictureTiming;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\Readers\MovieDescription;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\ScanDepth;

/** MXF (SMPTE ST 377-1), one clip in one file (OP1a) or one track in each (OP-Atom). */
final readonly class MxfReader implements Reader
{
    private const SOUND_KINDS = [0x42, 0x47, 0x48];

    private const TIMECODE = 0x14;

    private const TRACK = 0x3B;

    private const SEQUENCE = 0x0F;

    private const RANDOM_ACCESS = 0x80;

    private const KIND_OF_PICTURE = 0x30;

    public function kind(): Kind
    {
        return Kind::Mxf;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $outline = MxfOutline::read($file);
        $sound = array_map(self::sound(...), $outline->ofKind(...self::SOUND_KINDS));
        $sets = $outline->ofKind(...MxfPicture::KINDS);
        if ($sets === [] && $sound === []) {
            throw $outline->damaged ?? FileDamaged::header('it describes neither pictures nor sound');
        }
        $facts = $sets === []
            ? MovieDescription::ofSound(Kind::Mxf, $sound)
            : self::facts($file, $outline, new MxfPicture($sets[0]), $sound);
        $damaged = $outline->damaged;

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    /** @param  list<SoundTrack>  $sound */
    private static function facts(FileEnds $file, MxfOutline $outline, MxfPicture $picture, array $sound): MediaFacts
    {
        [$indexed, $order] = self::indexed($outline);
        $rate = $picture->rate() ?? self::editRate($outline);
        $count = self::count($outline, $picture, $indexed);
        $order = $indexed === $count ? $order : new PictureOrder;
        $seconds = $rate === null || $count === null
            ? null
            : BigRational::of($count)->dividedBy($rate->value)->simplified();
        $timing = new PictureTiming($count, $rate, $rate === null ? null : true, null, $seconds);
        $codec = $picture->codec();
        $own = $codec->facts(static fn (): string => $outline->firstPicture === null
            ? ''
            : $file->read($outline->firstPicture, CodecHeaders::SAMPLE));
        $told = $picture->facts()->or($own);
        $bitRate = $outline->isAll ? MovieDescription::bitRate($outline->pictureBytes, $seconds) : null;
        $track = MovieDescription::track($codec->codec, $told, $timing, $order, $bitRate);
        $facts = MovieDescription::of($codec->codec, $told, $track)
            ->sized($picture->width(), $picture->height(), $picture->pixelAspect())
            ->coloured($picture->codePoints())
            ->facts(Kind::Mxf, $sound);

        return $facts->withMovie(new MovieFacts($track, $sound, self::timecode($outline)));
    }

    /** By its index; else as its description or its track has it; else as many as there are. */
    private static function count(MxfOutline $outline, MxfPicture $picture, int $indexed): ?int
    {
        // of a file that was not walked through, not all of the index is known
        if ($indexed > 0 && $outline->isAll) {
            return $indexed;
        }
        $told = $picture->count();
        if ($told !== null && $told > 0) {
            return $told;
        }
        $lengths = array_map(
            static fn (MxfSet $s): int => max(0, $s->whole(0x0202) ?? 0),
            $outline->ofKind(self::SEQUENCE),
        );
        $most = max([0, ...$lengths]);

        return match (true) {
            $most > 0 => $most,
            $outline->isAll && $outline->pictures > 0 => $outline->pictures,
            default => null,
        };
    }

    private static function editRate(MxfOutline $outline): ?FrameRate
    {
        foreach ($outline->ofKind(self::TRACK) as $track) {
            $rate = $track->fraction(0x4B01);
            if ($rate !== null) {
                return FrameRate::parse((string) $rate);
            }
        }

        return null;
    }

    /** @return array{int, PictureOrder} pictures that the index tables have rows of, and their order */
    private static function indexed(MxfOutline $outline): array
    {
        $rows = [];
        foreach ($outline->indexes as $index) {
            $bytes = $index->bytes(0x3F0A);
            [$many, $length] = [ByteOrder::Big->u32($bytes), ByteOrder::Big->u32($bytes, 4)];
            $start = $index->whole(0x3F0C) ?? 0;
            for ($i = 0; $length >= 11 && $i < min($many, intdiv(strlen($bytes) - 8, $length)); $i++) {
                // an index may be told twice
                $rows[$start + $i] = ord($bytes[8 + $length * $i + 2]);
            }
        }
        ksort($rows);
        $order = new OrderTally;
        [$number, $inRow, $most] = [0, 0, 0];
        foreach ($rows as $flags) {
            $number++;
            $isB = ($flags & self::KIND_OF_PICTURE) === self::KIND_OF_PICTURE;
            $inRow = $isB ? $inRow + 1 : 0;
            $most = max($most, $inRow);
            if (($flags & self::RANDOM_ACCESS) !== 0 || ($flags & self::KIND_OF_PICTURE) === 0) {
                $order->keyframe($number);
            }
        }

        return [count($rows), $rows === [] ? new PictureOrder : $order->order(count($rows), $most)];
    }

    private static function sound(MxfSet $set): SoundTrack
    {
        $rate = $set->fraction(0x3D03);
        $bits = $set->whole(0x3D01);

        return new SoundTrack(
            $rate === null ? null : $rate->toScale(0, \Brick\Math\RoundingMode::HALF_UP)->toInt(),
            $set->whole(0x3D07),
            $bits !== null && $bits > 0 && $bits <= 64 ? $bits : null,
            'pcm',
        );
    }

    private static function timecode(MxfOutline $outline): ?string
    {
        foreach ($outline->ofKind(self::TIMECODE) as $component) {
            [$start, $base] = [$component->whole(0x1501), $component->whole(0x1502)];
            $isDropFrame = $component->whole(0x1503) === 1;
            if ($start === null || $base === null || $base < 1 || $base > 1000) {
                continue;
            }
            try {
                $rate = $isDropFrame ? FrameRate::of($base * 1000, 1001) : FrameRate::of($base);

                return (string) Timecode::fromFrames($start, $rate, $isDropFrame);
            } catch (NotUnderstood) {
                continue;
            }
        }

        return null;
    }
}
