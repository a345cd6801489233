<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;

/** How light a picture is. */
final readonly class Brightness
{
    /** Weights of blue, green and red in luminance, in ten-thousandths (ITU-R BT.709, 3.2). */
    public const WEIGHTS = [722, 7152, 2126];

    private const WHITE = 255 * 10_000;

    /**
     * @param  int  $light  luminance of all pixels together, in 1/2,550,000 of white each
     * @param  int  $dark  pixels that count as dark, where they were counted
     */
    public function __construct(public int $light, public int $pixels, public int $dark = 0) {}

    /** @param  array{int, int, int}  $sums  values of blue, green and red, over all pixels */
    public static function ofSums(array $sums, int $pixels, int $dark): self
    {
        $light = 0;
        foreach (self::WEIGHTS as $channel => $weight) {
            $light += $weight * $sums[$channel];
        }

        return new self($light, $pixels, $dark);
    }

    /** Mean luminance as a fraction of white: 0 is black. */
    public function mean(): BigRational
    {
        return BigRational::nd($this->light, self::WHITE * max(1, $this->pixels));
    }

    /** The share of its pixels that are dark, as a fraction. */
    public function darkShare(): BigRational
    {
        return BigRational::nd($this->dark, max(1, $this->pixels));
    }
}
