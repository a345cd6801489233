<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\SeenPictures;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Media\Decoders\Movies\PointGrid;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\SourceShown;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/**
 * Looks at the pictures of movies beside the frames they are made from, where both can be decoded here: all of them
 * where that is soon done, else some, the first and the last among them.
 */
final readonly class SourceLook
{
    /** Up to so many pixels all pictures are looked at, else some first, and all where those do not fit. */
    private const SOON_DONE = 60_000_000;

    private const SOME = 12;

    /** More pictures are not all looked at, however small. */
    private const MOST_PICTURES = 400;

    /** Of all pictures of both: what takes some twenty seconds. */
    private const MOST_PIXELS = 500_000_000;

    public function __construct(private ScanDepth $depth, private Listing $listing) {}

    /** The frames that a part is made from, where it is a movie made from frames. */
    public static function framesOf(Specification $specification, Part $part): ?Part
    {
        $source = $part->delivers->isMovie() ? $specification->part($part->madeFrom ?? '') : null;

        return $source?->delivers === Delivers::Frames ? $source : null;
    }

    /**
     * What a movie shows of its frames.
     *
     * @param  MediaFacts  $facts  of the movie, whole, whose pictures can be decoded here
     */
    public function shown(PassMatch $movie, PassMatch $frames, MediaFacts $facts): SourceShown
    {
        return self::orWhyNot(fn (): SourceShown => $this->compared($movie, $frames, $facts));
    }

    /**
     * The same by pictures that a browser showed: each is held against the frame that stands where it does.
     *
     * @param  MediaFacts  $facts  of the movie, whole
     */
    public function shownThrough(
        PassMatch $movie,
        PassMatch $frames,
        MediaFacts $facts,
        SeenPictures $seen,
    ): SourceShown {
        $numbers = self::numbersOf($frames);
        if (($facts->timing->frameCount ?? 0) !== count($numbers)) {
            return SourceShown::unseen('it has another count than its frames, and was looked at through a browser');
        }
        $isAll = count($seen->grids) === count($numbers);

        return self::orWhyNot(
            fn (): SourceShown => $this->beside($movie, $frames, $numbers, $seen->grids)
                ->shown($isAll)
                ->throughBrowser(),
        );
    }

    /** @param  \Closure(): SourceShown  $look */
    private static function orWhyNot(\Closure $look): SourceShown
    {
        try {
            return $look();
        } catch (PixelsRefused|FileDamaged|FileTooLarge $refused) {
            return SourceShown::unseen($refused->getMessage());
        } catch (BytesMissing) {
            return SourceShown::unseen('not looked at from here: only the whole files would show it');
        } catch (SourceUnreadable $gone) {
            return SourceShown::unseen($gone->reason());
        }
    }

    private function compared(PassMatch $movie, PassMatch $frames, MediaFacts $facts): SourceShown
    {
        $numbers = self::numbersOf($frames);
        $places = $this->framesToLookAt($frames, $numbers);
        $first = $places === [] ? null : $frames->frames->factsAt($places[array_key_first($places)]);
        if ($first === null) {
            return SourceShown::unseen('no whole frame is there to be held against it');
        }
        if ($first->encoding->sample === 'float' || $first->picture->colour === 'linear') {
            return SourceShown::unseen('its frames are linear, and are seen through a view that is not known here');
        }
        $count = $facts->timing->frameCount ?? 0;
        $some = self::spreadOver($count);
        $pixels = max($count, count($numbers)) * (self::pixelsOf($facts) + self::pixelsOf($first));
        if ($count === count($numbers) && ($this->depth === ScanDepth::Quick && $pixels > self::SOON_DONE)) {
            $order = $this->looked($movie, $frames, $numbers, $some);
            if ($order->isRight()) {
                return $order->shown(false);
            }
        }
        if ($pixels > self::MOST_PIXELS || max($count, count($numbers)) > self::MOST_PICTURES) {
            return $count === count($numbers)
                ? $this->looked($movie, $frames, $numbers, $some)->shown(false)
                : SourceShown::unseen('it has another count than its frames, and too many to look at all');
        }

        $all = array_fill_keys(range(0, max(0, $count - 1)), true);

        return $this->looked($movie, $frames, $numbers, $all)->shown(true);
    }

    private static function pixelsOf(MediaFacts $facts): int
    {
        return max(1, ($facts->picture->width ?? 0) * ($facts->picture->height ?? 0));
    }

    /** @return list<int> of the frames that are expected */
    private static function numbersOf(PassMatch $frames): array
    {
        return iterator_to_array(($frames->expected ?? $frames->present)->numbers(), false);
    }

    /**
     * @param  list<int>  $numbers  of the frames that are expected
     * @param  array<int, true>  $chosen  pictures of the movie, counted from 0; all, or each beside its frame
     */
    private function looked(PassMatch $movie, PassMatch $frames, array $numbers, array $chosen): SourceOrder
    {
        $source = $this->listing->open($movie->frames->listedAt(0));
        $pictures = MoviePictures::of($source, $movie->frames->factsAt(0))?->grids($chosen) ?? [];

        return $this->beside($movie, $frames, $numbers, iterator_to_array($pictures));
    }

    /**
     * @param  list<int>  $numbers  of the frames that are expected
     * @param  array<int, string>  $grids  of pictures of the movie, by place
     */
    private function beside(PassMatch $movie, PassMatch $frames, array $numbers, array $grids): SourceOrder
    {
        $facts = $movie->frames->factsAt(0);
        $count = $facts->timing->frameCount ?? 0;
        $places = $this->framesToLookAt($frames, $numbers);
        $first = $frames->frames->factsAt($places[array_key_first($places) ?? 0] ?? 0);
        if ($first->encoding->sample === 'float' || $first->picture->colour === 'linear') {
            throw PixelsRefused::because('its frames are linear, and are seen through a view that is not known here');
        }
        $own = $this->gridsOf($frames, count($grids) === $count ? $places : array_intersect_key($places, $grids));
        $isOfOneSize = [$first->picture->width, $first->picture->height] === [
            $facts->picture->width, $facts->picture->height,
        ];

        return new SourceOrder($grids, $own, $numbers, $count, $isOfOneSize);
    }

    /**
     * @param  list<int>  $numbers  of the frames that are expected
     * @return array<int, int> places of whole ones that are there, by their place among those expected
     */
    private function framesToLookAt(PassMatch $frames, array $numbers): array
    {
        $wanted = array_flip($numbers);
        $places = [];
        $size = null;
        foreach ($frames->frames->numbers as $i => $number) {
            $facts = $frames->frames->factsAt($i);
            $own = [$facts->picture->width, $facts->picture->height];
            // those of another size are told elsewhere, and may be of any
            if (isset($wanted[$number]) && $facts->isWhole() && $own === ($size ??= $own)) {
                $places[$wanted[$number]] = $i;
            }
        }

        return $places;
    }

    /** @return array<int, true> the first, the last, and some between them, counted from 0 */
    private static function spreadOver(int $count): array
    {
        $chosen = [];
        for ($i = 0, $many = min(self::SOME, $count); $i < $many; $i++) {
            $chosen[$many === 1 ? 0 : intdiv($i * ($count - 1), $many - 1)] = true;
        }

        return $chosen;
    }

    /**
     * @param  array<int, int>  $places
     * @return array<int, string> the grid of each frame, by its place among those expected
     */
    private function gridsOf(PassMatch $frames, array $places): array
    {
        $decoder = PictureDecoder::standard();
        $grids = [];
        foreach ($places as $row => $place) {
            $source = $this->listing->open($frames->frames->listedAt($place));
            $grids[$row] = PointGrid::of($decoder->decode($source, $frames->frames->factsAt($place)));
        }

        return $grids;
    }
}
