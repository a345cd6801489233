<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\PartLength;
use PlainLedger\Core\Specification\Specification;

/** Which frames go into a movie, how many pictures that makes, and how fast they go by. */
final readonly class RecipeTiming
{
    /**
     * @param  FrameRange|null  $range  in their order; null where nothing tells them, or they are no frames
     * @param  int|null  $count  pictures in the movie
     */
    private function __construct(public ?FrameRange $range, public ?int $count, public ?FrameRate $rate) {}

    public static function of(Specification $specification, Part $movie, SourceFrames $source): self
    {
        $range = $source->part->delivers === Delivers::Frames ? self::range($movie, $source->range) : null;
        $asked = PartLength::leastFrames($specification, $movie)[0] ?? null;

        return new self(
            $range,
            $range === null ? $asked : count($range),
            PartLength::rate($movie) ?? $source->rate,
        );
    }

    /** Its own range, as far as the frames have it; else all of them. */
    private static function range(Part $movie, ?FrameRange $all): ?FrameRange
    {
        $own = PartLength::expected($movie);
        $both = $own === null ? null : $all?->and($own);

        return $both === null || $both->isEmpty() ? $all : $both;
    }

    public function seconds(): ?BigRational
    {
        return $this->count === null || $this->rate === null
            ? null
            : BigRational::of($this->count)->dividedBy($this->rate->value);
    }
}
