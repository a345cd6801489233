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

    /** A PNG of it whose longer side has at most so many pixels. */
    public function thumbnail(int $longest): string;
}
