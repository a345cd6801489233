<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** How the stand-in is to write a movie, right or with the mistakes that assemblies make. */
final readonly class MovieTraits
{
    /**
     * @param  array{int, int}  $rate  pictures a second, as numerator and denominator
     * @param  int|null  $keyframes  every so many pictures one, by its own table; null: all of them, without a table
     * @param  int|null  $timecode  frames since midnight of the first picture; null: none is written
     * @param  array<int, int>  $held  ticks that single pictures stand longer than one, by their place counted from 0
     * @param  int  $rotation  degrees clockwise by which it is shown turned: 0, 90, 180 or 270
     * @param  array{int, int}  $pixels  width by height of one
     */
    public function __construct(
        public array $rate = [24, 1],
        public bool $indexFirst = false,
        public ?int $keyframes = null,
        public ?int $timecode = null,
        public array $held = [],
        public int $rotation = 0,
        public array $pixels = [1, 1],
    ) {}
}
