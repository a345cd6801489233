<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\DurationTally;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\OrderTally;
use PlainLedger\Core\Media\Movie\PictureOrder;
use PlainLedger\Core\Media\Movie\PictureTiming;
use PlainLedger\Core\Media\Movie\ShownTimes;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\Readers\Codecs\SampleFraming;
use PlainLedger\Core\Media\Readers\MovieDescription;
use PlainLedger\Core\Media\Readers\PlacesPictures;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\ScanDepth;

/** Matroska and WebM (RFC 9559), closed or of unknown length. Every block's head is looked at, never what it holds. */
final readonly class MatroskaReader implements PlacesPictures, Reader
{
    private const NANOSECONDS = 1_000_000_000;

    public function __construct(private Kind $kind) {}

    public function kind(): Kind
    {
        return $this->kind;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $outline = MatroskaOutline::read(new Ebml($file));
        [$sound, $picture] = self::tracks($outline);
        if ($picture === null) {
            return $this->ofSound($outline, $sound);
        }
        $codec = $picture->codec();
        // this container keeps such frames without what frames them elsewhere
        $framed = $codec->codec === 'prores' ? '' : $codec->codec;
        $framing = $depth === ScanDepth::Full ? new SampleFraming($file->source, $framed) : null;
        [$timing, $order, $bytes, $first, $damaged] = $this->shown($outline, $picture, $framing, $file);
        $own = $codec->facts(static fn (): string => $first === null ? '' : $file->read($first, CodecHeaders::SAMPLE));
        $rate = MovieDescription::bitRate($bytes, $timing->duration);
        $track = MovieDescription::track($codec->codec, $own, $timing, $order, $rate, $picture->scan());
        $facts = MovieDescription::of($codec->codec, self::withAlpha($own, $picture), $track)
            ->sized($picture->width(), $picture->height(), $picture->pixelAspect())
            ->coloured($picture->codePoints())
            ->tagged($picture->projection(), 'straight')
            ->facts($this->kind, $sound);
        $facts = $facts->withMovie(new MovieFacts($track, $sound, $outline->timecode));
        $damaged ??= $outline->damaged
            ?? ($outline->hasClusters ? null : FileDamaged::cutShort('the file ends before its pictures'));

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    /** @param  list<SoundTrack>  $sound */
    private function ofSound(MatroskaOutline $outline, array $sound): MediaFacts
    {
        return $sound === []
            ? throw $outline->damaged ?? FileDamaged::cutShort('it describes no track')
            : MovieDescription::ofSound($this->kind, $sound);
    }

    public function pictures(FileEnds $file): iterable
    {
        $outline = MatroskaOutline::read(new Ebml($file));
        foreach ($outline->tracks as $track) {
            if ($track->type() === MatroskaTrack::PICTURES && $track->isEnabled()) {
                foreach ($outline->blocks($track->number(), null) as $block) {
                    yield [$block->place, $block->size];
                }

                return;
            }
        }
    }

    /** @return array{list<SoundTrack>, MatroskaTrack|null} */
    private static function tracks(MatroskaOutline $outline): array
    {
        [$sound, $picture] = [[], null];
        foreach ($outline->tracks as $track) {
            if ($track->type() === MatroskaTrack::SOUND) {
                $sound[] = $track->sound();
            } elseif ($track->type() === MatroskaTrack::PICTURES && $track->isEnabled()) {
                $picture ??= $track;
            }
        }

        return [$sound, $picture];
    }

    private static function withAlpha(CodecFacts $own, MatroskaTrack $picture): CodecFacts
    {
        return $picture->hasAlpha() ? (new CodecFacts(channels: ['R', 'G', 'B', 'A']))->or($own) : $own;
    }

    /** @return array{PictureTiming, PictureOrder, int, int|null, FileDamaged|null} bytes; where the first picture is */
    private function shown(
        MatroskaOutline $outline,
        MatroskaTrack $picture,
        ?SampleFraming $framing,
        FileEnds $file,
    ): array {
        $isWhole = self::NANOSECONDS % $outline->scale === 0;
        $tally = new DurationTally($isWhole ? intdiv(self::NANOSECONDS, $outline->scale) : self::NANOSECONDS);
        $tick = $isWhole ? 1 : $outline->scale;
        $shown = new ShownTimes($tally);
        $order = new OrderTally;
        [$bytes, $first, $last, $fault, $number] = [0, null, null, null, 0];
        $blocks = $outline->blocks(
            $picture->number(),
            $framing === null ? self::elements($file) : null,
        );
        foreach ($blocks as $block) {
            $shown->add($block->shownAt * $tick);
            $order->add($block->shownAt, $block->isKeyframe);
            $bytes += $block->size;
            $first ??= $block->place;
            $last = $block->lasts === null ? null : $block->lasts * $tick;
            $number++;
            $fault ??= $framing === null ? null : self::fault($framing, $block, $number);
        }
        $tally = $shown->end($last);
        if (! $blocks->getReturn()) {
            return [self::told($outline, $picture), new PictureOrder, 0, $first, $fault];
        }

        return [self::exact($tally->timing($picture->rate())), $order->order(), $bytes, $first, $fault];
    }

    /** The clock of the container rounds; the rate does not. */
    private static function exact(PictureTiming $timing): PictureTiming
    {
        return $timing->rate === null || $timing->isConstant !== true || $timing->count === null
            ? $timing
            : new PictureTiming(
                $timing->count,
                $timing->rate,
                true,
                $timing->uneven,
                BigRational::of($timing->count)->dividedBy($timing->rate->value)->simplified(),
            );
    }

    /** So many are looked at. */
    private static function elements(FileEnds $file): int
    {
        return $file->isFarAway() ? MatroskaOutline::FEW_ELEMENTS : MatroskaOutline::MOST_ELEMENTS;
    }

    private static function fault(SampleFraming $framing, MatroskaBlock $block, int $number): ?FileDamaged
    {
        $reason = $framing->fault($block->place, $block->size);

        return $reason === null ? null : FileDamaged::cutShort("picture {$number} {$reason}");
    }

    /** Of a file with more blocks than there is time for: as it says of itself. */
    private static function told(MatroskaOutline $outline, MatroskaTrack $picture): PictureTiming
    {
        $rate = $picture->rate();
        $seconds = BigRational::nd((int) round($outline->duration) * $outline->scale, self::NANOSECONDS)->simplified();
        $count = $rate === null
            ? null
            : $seconds->multipliedBy($rate->value)->toScale(0, RoundingMode::HALF_UP)->toInt();

        return new PictureTiming($count, $rate, null, null, $seconds);
    }
}
