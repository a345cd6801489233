<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** A decoded picture, eight bits a channel, as rules that look and thumbnails need it. */
interface Pixels
{
    public function width(): int;

    public function height(): int;

    /**
     * One pixel, counted from the top left.
     *
     * @return array{int, int, int, int} red, green, blue and alpha, 0 to 255; alpha 255 is opaque
     */
    public function at(int $x, int $y): array;

    /**
     * All of it, so many lines at a time: three bytes a pixel, blue, green and red, in an order that is always the
     * same.
     *
     * @param  int|null  $ground  a grey, 0 to 255, on which it is seen with its alpha; null: its colours without
     *   regard to alpha
     * @return iterable<string>
     */
    public function lines(int $many, ?int $ground = null): iterable;

    /**
     * Blue, green and red of a small square picture of it, three bytes a pixel.
     *
     * @param  int<1, 1024>  $side
     */
    public function sample(int $side): string;

    /** A PNG of it whose longer side has at most so many pixels. */
    public function thumbnail(int $longest): string;
}
