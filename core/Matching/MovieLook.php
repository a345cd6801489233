<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\SeenPictures;
use PlainLedger\Core\Media\BytesMissing;
use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MoviePixels;
use PlainLedger\Core\Media\Movie\SourceShown;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Specification\Catalogue\ContentRequirements;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/**
 * Looks at the pictures of movies whose codec is decoded here: by themselves, where something asks what is in them,
 * and beside the frames that they are made from. What is seen is kept with the movie's facts.
 */
final readonly class MovieLook
{
    /** Of all pictures of one movie: what takes some twenty seconds. */
    private const MOST_PIXELS = 500_000_000;

    private const MOST_PICTURES = 5_000;

    /** @param  array<string, SeenPictures>  $seen  by part */
    private function __construct(
        private Specification $specification,
        private SourceLook $beside,
        private Listing $listing,
        private ?PixelSampler $sampler,
        private array $seen,
    ) {}

    /** Whether anything asks for a look at the pictures of a movie. */
    public static function isOwedBy(Specification $specification): bool
    {
        foreach ($specification->parts as $part) {
            if (SourceLook::framesOf($specification, $part) !== null || self::asksPixels($part)) {
                return true;
            }
        }

        return false;
    }

    private static function asksPixels(Part $part): bool
    {
        $asked = array_filter(
            ContentRequirements::OF_PIXELS,
            static fn (string $id): bool => $part->find($id) !== null,
        );

        return $part->delivers->isMovie() && $asked !== [];
    }

    /**
     * @param  PixelSampler|null  $sampler  null where nothing asks what is in pixels
     * @param  array<string, SeenPictures>  $seen  by part: pictures that somebody's browser showed of a movie, for
     *   those that are not decoded here
     * @return Delivery the same, with what was seen
     */
    public static function at(
        Specification $specification,
        Delivery $delivery,
        Listing $listing,
        ?PixelSampler $sampler,
        array $seen = [],
    ): Delivery {
        if (! self::isOwedBy($specification)) {
            return $delivery;
        }
        $look = new self($specification, new SourceLook($delivery->depth, $listing), $listing, $sampler, $seen);
        $match = Matcher::match($specification, $delivery);
        foreach ($specification->parts as $part) {
            $movie = $part->delivers->isMovie() ? $match->parts[$part->name]->passes[0] ?? null : null;
            if ($movie?->isEmpty() === false) {
                $look->learn($part, $movie, $match);
            }
        }

        return $delivery;
    }

    private function learn(Part $part, PassMatch $movie, DeliveryMatch $match): void
    {
        $facts = $movie->frames->factsAt(0);
        if ($facts->movie === null || ! $facts->isWhole()) {
            return;
        }
        $source = SourceLook::framesOf($this->specification, $part);
        $frames = $source === null ? null : $match->parts[$source->name]->passes[0] ?? null;
        $shown = $frames?->isEmpty() === false ? $this->shown($part, $movie, $frames, $facts) : null;
        $asks = self::asksPixels($part) && MoviePictures::whyNot($facts) === null;
        $pixels = $asks ? $this->pixels($movie, $facts, $part, $source) : null;
        $movie->frames->learn(0, $facts->withMovie($facts->movie->lookedAt($shown, $pixels)));
    }

    private function shown(Part $part, PassMatch $movie, PassMatch $frames, MediaFacts $facts): ?SourceShown
    {
        $seen = $this->seen[$part->name] ?? null;
        if (MoviePictures::whyNot($facts) === null) {
            return $this->beside->shown($movie, $frames, $facts);
        }

        return $seen?->isOf($movie->frames->listedAt(0)) === true
            ? $this->beside->shownThrough($movie, $frames, $facts, $seen)
            : null;
    }

    private function pixels(PassMatch $movie, MediaFacts $facts, Part $part, ?Part $source): ?MoviePixels
    {
        if ($this->sampler === null) {
            return null;
        }
        $count = $facts->timing->frameCount ?? 0;
        $each = ($facts->picture->width ?? 0) * ($facts->picture->height ?? 0);
        if ($count > self::MOST_PICTURES || $count * $each > self::MOST_PIXELS) {
            return MoviePixels::unseen(
                FileTooLarge::of(number_format($count).' pictures of '.number_format($each).' pixels')->getMessage(),
            );
        }
        try {
            $numbers = PictureNumbers::of($part, $source, $count);

            return $this->sampled($movie, $facts, $numbers, $this->sampler);
        } catch (PixelsRefused|FileDamaged|FileTooLarge $refused) {
            return MoviePixels::unseen($refused->getMessage());
        } catch (BytesMissing) {
            return MoviePixels::unseen('not looked at from here: only the whole files would show it');
        } catch (SourceUnreadable $gone) {
            return MoviePixels::unseen($gone->reason());
        }
    }

    /** @param  list<int>  $numbers  of its pictures */
    private function sampled(PassMatch $movie, MediaFacts $facts, array $numbers, PixelSampler $sampler): MoviePixels
    {
        $pictures = MoviePictures::of($this->listing->open($movie->frames->listedAt(0)), $facts);
        $approved = array_flip($sampler->approvedFrames());
        $hasAlpha = $facts->encoding->hasAlpha() === true;
        $samples = [];
        $distances = [];
        $all = array_fill_keys(array_keys($numbers), true);
        foreach ($pictures?->images($all) ?? [] as $place => [$pixels, $apart]) {
            $samples[] = $sampler->sampleOf($pixels, $hasAlpha, $apart);
            if (isset($approved[$numbers[$place]])) {
                $distances[$place] = $sampler->distanceOf($pixels, $numbers[$place]);
            }
        }

        return MoviePixels::seen($samples, $distances);
    }
}
