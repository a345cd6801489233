<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\PassEntries;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/**
 * A movie that shows its frames as they are shows what is wrong with them. That is no mistake of the assembly: it is
 * told as what happened to the frames, behind it, and is over when the movie is made again of better ones.
 */
final readonly class CarriedOver
{
    private const LENGTH = [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_DURATION];

    private const SHAPE = [RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_DISPLAY_ASPECT];

    /**
     * @param  list<Cause>  $causes  of all parts
     * @param  list<PassEntries>  $lines  of all parts
     * @return list<Cause>
     */
    public static function in(array $causes, array $lines): array
    {
        foreach ($lines as $each) {
            $situation = new Situation($each->subject, $each->entries, null);
            $movie = MovieFound::in($situation);
            if ($movie?->source === null) {
                continue;
            }
            foreach ($causes as $at => $cause) {
                $origin = $cause->part === $situation->part() ? self::origin($cause, $movie, $causes) : null;
                if ($origin !== null) {
                    $causes[$at] = $cause->carriedFrom($origin);
                }
            }
        }

        return $causes;
    }

    /** @param  list<Cause>  $causes */
    private static function origin(Cause $cause, MovieFound $movie, array $causes): ?Cause
    {
        $about = match ($cause->finding->id) {
            CauseId::MovieShort, CauseId::MovieLong => self::hasAsMany($movie) ? self::LENGTH : [],
            CauseId::WrongShape, CauseId::ValueDiffers => self::hasSameShape($movie) ? self::SHAPE : [],
            default => [],
        };
        if (array_intersect($cause->explains, $about) === []) {
            return null;
        }
        foreach ($causes as $other) {
            $isOfFrames = $other->part === $movie->source?->name && $other->pass === null;
            if ($isOfFrames && array_intersect($other->explains, $about) !== []) {
                return $other;
            }
        }

        return null;
    }

    private static function hasAsMany(MovieFound $movie): bool
    {
        return $movie->sourceCount() !== null && $movie->sourceCount() === $movie->facts->timing->frameCount;
    }

    private static function hasSameShape(MovieFound $movie): bool
    {
        $frames = $movie->sourceFacts();
        $theirs = $frames === null ? null : self::shape($frames);
        $isTurned = $movie->facts->movie?->picture->exchangesSides() === true;

        return $theirs !== null && ! $isTurned && self::shape($movie->facts)?->isEqualTo($theirs) === true;
    }

    private static function shape(MediaFacts $facts): ?BigRational
    {
        $picture = $facts->picture;

        return $picture->width === null || $picture->height === null
            ? null
            : Resolution::of($picture->width, $picture->height)
                ->displayAspect($picture->pixelAspect ?? BigRational::one());
    }
}
