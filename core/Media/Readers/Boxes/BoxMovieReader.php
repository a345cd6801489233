<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Measure\Timecode;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\CodecFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Readers\Codecs\CodecHeaders;
use PlainLedger\Core\Media\Readers\MovieDescription;
use PlainLedger\Core\Media\Readers\PlacesPictures;
use PlainLedger\Core\Media\Readers\Reader;
use PlainLedger\Core\Media\ScanDepth;

/**
 * MP4 and MOV: the ISO base media file format (ISO/IEC 14496-12) and its elder. Facts are read from the tables of its
 * tracks, wherever the index stands, and from fragments; pictures are never decoded.
 */
final readonly class BoxMovieReader implements PlacesPictures, Reader
{
    /** An index up to so many bytes is read at once. */
    private const INDEX_AT_ONCE = 4 << 20;

    public function __construct(private Kind $kind) {}

    public function kind(): Kind
    {
        return $this->kind;
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        $outline = MovieOutline::read($file);
        $movie = $outline->movie;
        // read once, so that what lies within takes no more reads
        $file->read($movie->start, min(self::INDEX_AT_ONCE, $movie->end - $movie->start));
        [$scale, $tracks] = self::tracks($file, $movie);
        $extends = Boxes::within($file, $movie)['mvex'] ?? null;
        $fragments = Fragments::of($file, $outline->fragments, $extends);
        $picture = self::pictureTrack($tracks);
        $facts = $this->facts($file, $tracks, $picture, $scale, $fragments);
        $damaged = $outline->damage($file)
            ?? self::placeDamage($file, $tracks)
            ?? ($extends === null ? null : self::fragmentDamage($picture, $fragments));
        if ($depth === ScanDepth::Full) {
            $damaged ??= (new BoxSamples($file, $facts->encoding->codec ?? ''))->damage($picture, $fragments);
        }
        $facts = self::withPlaces($facts, self::timecode($file, $tracks), $outline);

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    public function pictures(FileEnds $file): iterable
    {
        $outline = MovieOutline::read($file);
        [, $tracks] = self::tracks($file, $outline->movie);
        $picture = self::pictureTrack($tracks);
        if ($picture === null) {
            return;
        }
        if ($picture->table->count() > 0) {
            yield from $picture->table->samples();

            return;
        }
        $extends = Boxes::within($file, $outline->movie)['mvex'] ?? null;
        foreach (Fragments::of($file, $outline->fragments, $extends)->samples($picture->id()) as $sample) {
            yield [$sample->place, $sample->size];
        }
    }

    private static function withPlaces(MediaFacts $facts, ?string $timecode, MovieOutline $outline): MediaFacts
    {
        $told = $facts->movie ?? new MovieFacts;

        return $facts->withMovie(
            new MovieFacts(
                $told->picture,
                $told->sound,
                $timecode,
                $outline->indexIsFirst ? 'first' : 'last',
                $outline->fragments !== [],
            ),
        );
    }

    private static function fragmentDamage(?BoxTrack $picture, Fragments $fragments): ?FileDamaged
    {
        return $fragments->isEmpty() && ($picture?->table->count() ?? 0) === 0
            ? FileDamaged::cutShort('no fragment follows its index')
            : null;
    }

    /** @return array{int, list<BoxTrack>} ticks a second of the movie, and its tracks */
    private static function tracks(FileEnds $file, Box $movie): array
    {
        $scale = 0;
        $tracks = [];
        foreach (Boxes::in($file, $movie->body, $movie->end) as $box) {
            if ($box->end > $movie->end) {
                throw FileDamaged::header("the box at byte {$box->start} reaches beyond the one that it lies in");
            }
            if ($box->type === 'mvhd') {
                $bytes = $file->read($box->body, 24);
                $scale = ByteOrder::Big->u32($bytes, ord($bytes[0]) === 1 ? 20 : 12);
            } elseif ($box->type === 'cmov') {
                throw FileDamaged::header('its index is packed, in a way that is not read here');
            } elseif ($box->type === 'trak' && count($tracks) < MovieDescription::MOST_TRACKS) {
                $tracks[] = BoxTrack::read($file, $box);
            }
        }

        $read = array_values(array_filter($tracks));

        return $read === [] ? throw FileDamaged::header('it describes no track') : [$scale, $read];
    }

    /**
     * The one that is shown: the first that is switched on; of none, the first.
     *
     * @param  list<BoxTrack>  $tracks
     */
    private static function pictureTrack(array $tracks): ?BoxTrack
    {
        $pictures = array_values(array_filter(
            $tracks,
            static fn (BoxTrack $t): bool => $t->handler === BoxTrack::PICTURES && $t->entryBox() !== null,
        ));
        foreach ($pictures as $track) {
            if ($track->isEnabled()) {
                return $track;
            }
        }

        return $pictures[0] ?? null;
    }

    /** @param  list<BoxTrack>  $tracks */
    private function facts(
        FileEnds $file,
        array $tracks,
        ?BoxTrack $picture,
        int $movieScale,
        Fragments $fragments,
    ): MediaFacts {
        $sound = [];
        foreach ($tracks as $track) {
            if ($track->handler === BoxTrack::SOUND && $track->entryBox() !== null) {
                $sound[] = SoundEntry::read($file, $track->entryBox());
            }
        }
        $entry = $picture?->pictures();
        if ($picture === null || $entry === null) {
            return MovieDescription::ofSound($this->kind, $sound);
        }
        $codec = $entry->codec();
        $own = $codec->facts(static fn (): string => self::firstSample($file, $picture, $fragments));
        $shown = $picture->table->count() === 0
            ? TrackPictures::ofFragments($picture, $fragments)
            : TrackPictures::ofTable($picture, $movieScale);

        return self::described($entry, $picture, $codec, $own, $shown)->facts($this->kind, $sound);
    }

    private static function described(
        SampleEntry $entry,
        BoxTrack $picture,
        CodecHeaders $codec,
        CodecFacts $own,
        TrackPictures $shown,
    ): MovieDescription {
        $track = MovieDescription::track(
            $codec->codec,
            $own,
            $shown->timing,
            $shown->order,
            MovieDescription::bitRate($shown->bytes, $shown->whole),
            $entry->scan(),
            $picture->rotation(),
        );
        $aspect = $entry->pixelAspect()
            ?? $own->pixelAspect()
            ?? $picture->shownAspect($entry->width, $entry->height);

        return MovieDescription::of($codec->codec, $own, $track)
            ->sized($entry->width, $entry->height, $aspect)
            ->coloured($entry->codePoints())
            ->tagged($entry->projection() ?? $picture->projection(), $picture->alphaKind())
            ->noted(array_filter(['clean aperture' => $entry->cleanAperture()], is_string(...)));
    }

    private static function firstSample(FileEnds $file, BoxTrack $picture, Fragments $fragments): string
    {
        $place = $picture->table->count() > 0 ? $picture->table->firstPlace() : null;
        foreach ($place === null ? $fragments->samples($picture->id()) : [] as $sample) {
            $place = $sample->place;
            break;
        }

        return $place === null ? '' : $file->read($place, CodecHeaders::SAMPLE);
    }

    /**
     * Of the track of time addresses: the one its only sample holds (timecode sample description).
     *
     * @param  list<BoxTrack>  $tracks
     */
    private static function timecode(FileEnds $file, array $tracks): ?string
    {
        foreach ($tracks as $track) {
            $entry = $track->handler === BoxTrack::TIMECODE ? $track->entryBox() : null;
            $place = $entry === null || $track->table->count() === 0 ? null : $track->table->firstPlace();
            if ($entry === null || $place === null) {
                continue;
            }
            $bytes = $file->read($entry->body, 29);
            [$scale, $each] = [ByteOrder::Big->u32($bytes, 16), ByteOrder::Big->u32($bytes, 20)];
            if ($scale < 1 || $each < 1 || $entry->type !== 'tmcd') {
                continue;
            }
            $isDropFrame = (ByteOrder::Big->u32($bytes, 12) & 1) === 1;
            try {
                $rate = FrameRate::of($scale, $each);

                return (string) Timecode::fromFrames(
                    ByteOrder::Big->i32($file->read($place, 4)),
                    $rate,
                    $isDropFrame && $rate->hasDropFrame(),
                );
            } catch (NotUnderstood) {
                continue;
            }
        }

        return null;
    }

    /** @param  list<BoxTrack>  $tracks */
    private static function placeDamage(FileEnds $file, array $tracks): ?FileDamaged
    {
        foreach ($tracks as $track) {
            if ($track->handler !== BoxTrack::PICTURES && $track->table->isUniform()) {
                continue;
            }
            $end = $track->table->count() > 0 ? $track->table->lastEnd() : null;
            if ($end !== null && ($end > $file->size() || $end < 0)) {
                return FileDamaged::cutShort(
                    "its last sample ends at byte {$end} and the file after {$file->size()}",
                );
            }
        }

        return null;
    }
}
