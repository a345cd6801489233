<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\RequirementId;

/** `turned-by-metadata` and `stretched-in-assembly`: a movie of another shape than its frames, or shown on its side. */
final readonly class MovieShapeCauses implements CauseFamily
{
    private const LINES = [RequirementId::PICTURE_RESOLUTION, RequirementId::PICTURE_DISPLAY_ASPECT];

    public function find(Situation $situation): iterable
    {
        $movie = MovieFound::in($situation);
        $lines = array_values(array_filter(self::LINES, $situation->inFiles(...)));
        if ($movie === null || $lines === []) {
            return;
        }
        if ($movie->facts->movie?->picture->exchangesSides() === true) {
            yield from $this->turned($situation, $movie, $lines);
        }
        yield from $this->stretched($situation, $movie);
    }

    /**
     * @param  list<string>  $lines
     * @return iterable<Finding>
     */
    private function turned(Situation $situation, MovieFound $movie, array $lines): iterable
    {
        $size = self::size($movie->facts);
        $asked = $situation->askedOfPart(RequirementId::PICTURE_RESOLUTION);
        $isSwapped = $size !== null && $asked === "{$size->height}x{$size->width}";
        if (! $isSwapped && ! $situation->inFiles(RequirementId::PICTURE_DISPLAY_ASPECT)) {
            return;
        }
        $turn = $movie->facts->movie->picture->rotation ?? 0;
        yield Finding::of(
            CauseId::TurnedByMetadata,
            Side::Files,
            "The pictures are stored {$size?->spoken()} and shown turned by {$turn} degrees, which not every player "
                .'and no assembly does.',
            ["the track’s matrix turns it by {$turn} degrees"],
            self::LINES,
            [
                Fix::encode(
                    $situation->part(),
                    $lines[0],
                    'the size',
                    (string) $size,
                    $asked ?? $situation->asked($lines[0]),
                    null,
                    'Encode the movie again '
                        .($asked === null ? '' : "at {$asked} ")
                        .'without turning it by its metadata.',
                ),
            ],
        );
    }

    /** @return iterable<Finding> */
    private function stretched(Situation $situation, MovieFound $movie): iterable
    {
        $frames = $movie->sourceFacts();
        [$own, $theirs] = [self::shape($movie->facts), $frames === null ? null : self::shape($frames)];
        $size = $frames === null ? null : self::size($frames);
        if ($own === null || $theirs === null || $size === null) {
            return;
        }
        $shape = AspectRatio::parse($theirs->getNumerator().':'.$theirs->getDenominator());
        $is = self::size($movie->facts);
        $pixels = $movie->facts->picture->pixelAspect ?? BigRational::one();
        $isTurned = $movie->facts->movie?->picture->exchangesSides() === true;
        if ($is === null || $isTurned || $shape->holdsFor($is, $pixels)) {
            return;
        }
        $to = $situation->askedOfPart(RequirementId::PICTURE_RESOLUTION) ?? (string) $size;
        yield Finding::of(
            CauseId::StretchedInAssembly,
            Side::Files,
            "The movie is {$is->spoken()} and the {$movie->source?->name} are {$size->spoken()}: the assembly made "
                .'another shape of them.',
            ["the movie is {$is}", "the {$movie->source?->name} are {$size}"],
            [...self::LINES, RequirementId::PICTURE_PIXEL_ASPECT],
            [
                Fix::encode(
                    $situation->part(),
                    RequirementId::PICTURE_RESOLUTION,
                    'the size',
                    (string) $is,
                    $to,
                    null,
                    "Set the assembly’s size to that of its frames, {$to}, and make the movie again from "
                        ."{$movie->source?->name}.",
                ),
            ],
        )->asAlternative();
    }

    private static function size(MediaFacts $facts): ?Resolution
    {
        return $facts->picture->width === null || $facts->picture->height === null
            ? null
            : Resolution::of($facts->picture->width, $facts->picture->height);
    }

    private static function shape(MediaFacts $facts): ?BigRational
    {
        return self::size($facts)?->displayAspect($facts->picture->pixelAspect ?? BigRational::one());
    }
}
