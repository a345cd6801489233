<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Avi;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\DurationTally;
use PlainLedger\Core\Media\Movie\OrderTally;
use PlainLedger\Core\Media\Movie\PictureOrder;
use PlainLedger\Core\Media\Movie\PictureTiming;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\Readers\Codecs\PictureKind;
use PlainLedger\Core\Media\Readers\Codecs\SampleFraming;
use PlainLedger\Core\Media\Readers\MovieDescription;
use PlainLedger\Core\Media\Readers\PlacesPictures;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\Readers\WaveFormat;
use PlainLedger\Core\Media\ScanDepth;

/** AVI (RIFF, and OpenDML 1.02 beyond two gigabytes). It knows no other order of pictures than the one they lie in. */
final readonly class AviReader implements PlacesPictures, Reader
{
    /** So many pictures are looked at for what no table tells. */
    private const MOST_ASKED = 50_000;

    public function kind(): Kind
    {
        return Kind::Avi;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $outline = AviOutline::read($file);
        if ($outline->streams === []) {
            throw $outline->damage() ?? FileDamaged::header('it describes no stream');
        }
        [$sound, $picture] = self::streams($outline);
        if ($picture === null) {
            return MovieDescription::ofSound(Kind::Avi, $sound);
        }
        $index = $outline->movie === null
            ? null
            : AviIndex::of($file, $picture, $outline->index, $outline->movie);
        [$timing, $order, $bytes, $end] = self::shown($file, $picture, $index);
        $codec = $picture->codec();
        $own = $codec->facts(static fn (): string => self::first($file, $index));
        if ($codec->codec === 'raw' && $picture->isTopDown()) {
            $own = (new CodecFacts(profile: 'top-down'))->or($own);
        }
        $rate = MovieDescription::bitRate($bytes, $timing->duration);
        $track = MovieDescription::track($codec->codec, $own, $timing, $order, $rate, $picture->scan());
        $facts = MovieDescription::of($codec->codec, $own, $track)
            ->sized($picture->width(), $picture->height(), $picture->pixelAspect())
            ->coloured(null)
            ->facts(Kind::Avi, $sound);
        $damaged = $outline->damage()
            ?? self::endDamage($file, $end)
            ?? ($depth === ScanDepth::Full && $index !== null ? self::samples($file, $index, $codec->codec) : null);

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    private static function endDamage(FileEnds $file, int $end): ?FileDamaged
    {
        return $end > $file->size()
            ? FileDamaged::cutShort("its last picture ends at byte {$end} and the file after {$file->size()}")
            : null;
    }

    /** @return array{list<SoundTrack>, AviStream|null} */
    private static function streams(AviOutline $outline): array
    {
        [$sound, $picture] = [[], null];
        foreach ($outline->streams as $stream) {
            if ($stream->type() === AviStream::SOUND) {
                $sound[] = WaveFormat::read($stream->format());
            }
            $picture ??= $stream->type() === AviStream::PICTURES ? $stream : null;
        }

        return [$sound, $picture];
    }

    public function pictures(FileEnds $file): iterable
    {
        $outline = AviOutline::read($file);
        foreach ($outline->streams as $stream) {
            if ($stream->type() === AviStream::PICTURES && $outline->movie !== null) {
                $index = AviIndex::of($file, $stream, $outline->index, $outline->movie);
                foreach ($index?->entries() ?? [] as [$place, $size]) {
                    if ($size > 0) {
                        yield [$place, $size];
                    }
                }

                return;
            }
        }
    }

    /** @return array{PictureTiming, PictureOrder, int, int} and bytes of all pictures, and where the last one ends */
    private static function shown(FileEnds $file, AviStream $picture, ?AviIndex $index): array
    {
        $rate = $picture->rate();
        if ($index === null || $rate === null) {
            $count = $picture->length();
            $seconds = $rate === null ? null : BigRational::of($count)->dividedBy($rate->value)->simplified();

            $timing = new PictureTiming($count, $rate, $rate === null ? null : true, null, $seconds);

            return [$timing, new PictureOrder, 0, 0];
        }
        $tally = new DurationTally($rate->value->getNumerator()->toInt());
        $tick = $rate->value->getDenominator()->toInt();
        $order = new OrderTally;
        $mostB = self::bFrames($file, $picture->codec()->codec, $index);
        [$bytes, $end, $stands] = [0, 0, 0];
        foreach ($index->entries() as [$place, $size, $isKeyframe]) {
            // an empty one has the picture before it stand on
            if ($size === 0 && $stands > 0) {
                $stands++;

                continue;
            }
            $tally->add($stands > 0 ? 1 : 0, $stands * $tick);
            $stands = 1;
            $order->add($place, $isKeyframe);
            $bytes += $size;
            $end = max($end, $place + $size);
        }
        $tally->add($stands > 0 ? 1 : 0, $stands * $tick);
        $known = $order->order();

        return [
            $tally->timing($rate),
            new PictureOrder($known->longestInterval, $mostB, $known->keyframes),
            $bytes,
            $end,
        ];
    }

    /** The most in a row; null where nothing tells, or there are too many pictures to be asked one by one. */
    private static function bFrames(FileEnds $file, string $codec, AviIndex $index): ?int
    {
        if (CodecHeaders::hasNoBFrames($codec)) {
            return 0;
        }
        if (! PictureKind::isToldBy($codec)) {
            return null;
        }
        [$inRow, $most, $looked] = [0, 0, 0];
        foreach ($index->entries() as [$place, $size]) {
            if (++$looked > self::MOST_ASKED) {
                return null;
            }
            $isB = PictureKind::isB($codec, $file->source->read($place, min($size, PictureKind::LENGTH)));
            $inRow = $isB ? $inRow + 1 : 0;
            $most = max($most, $inRow);
        }

        return $most;
    }

    private static function first(FileEnds $file, ?AviIndex $index): string
    {
        foreach ($index?->entries() ?? [] as [$place, $size]) {
            return $file->read($place, min($size, CodecHeaders::SAMPLE));
        }

        return '';
    }

    private static function samples(FileEnds $file, AviIndex $index, string $codec): ?FileDamaged
    {
        // what is framed by lengths elsewhere is parted by start codes here
        $framing = new SampleFraming($file->source, in_array($codec, ['h264', 'hevc'], true) ? 'av1' : $codec);
        $number = 0;
        foreach ($index->entries() as [$place, $size]) {
            $number++;
            $reason = $place + $size > $file->size() ? 'lies outside the file' : $framing->fault($place, $size);
            if ($reason !== null) {
                return FileDamaged::cutShort("picture {$number} {$reason}");
            }
        }

        return null;
    }
}
