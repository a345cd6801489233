<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** One shape shown whole inside another: bars above and below, or at the sides, in whole pixels of the frame. */
final readonly class Letterbox
{
    private function __construct(public Resolution $frame, public Resolution $picture) {}

    /**
     * The picture at its largest inside the frame, each side rounded to the nearest even number of pixels.
     *
     * @param  BigRational  $aspect  display aspect of the picture, above zero
     * @param  Resolution  $frame  of square pixels
     */
    public static function of(BigRational $aspect, Resolution $frame): self
    {
        $even = static fn (BigRational $side, int $most): int => min(
            $most,
            max(2, 2 * $side->dividedBy(2)->toScale(0, RoundingMode::HALF_UP)->toInt()),
        );
        $own = BigRational::nd($frame->width, $frame->height);
        if ($aspect->isGreaterThanOrEqualTo($own)) {
            return new self(
                $frame,
                Resolution::of(
                    $frame->width,
                    $even(BigRational::of($frame->width)->dividedBy($aspect), $frame->height),
                ),
            );
        }

        return new self(
            $frame,
            Resolution::of(
                $even(BigRational::of($frame->height)->multipliedBy($aspect), $frame->width),
                $frame->height,
            ),
        );
    }

    /** Pixels of each bar above and below; the upper is the smaller where they are uneven. */
    public function above(): int
    {
        return intdiv($this->frame->height - $this->picture->height, 2);
    }

    /** Pixels of each bar at the sides. */
    public function beside(): int
    {
        return intdiv($this->frame->width - $this->picture->width, 2);
    }

    public function spoken(): string
    {
        return match (true) {
            $this->above() > 0 => "letterboxed to {$this->picture->spoken()}, bars of {$this->above()} above and below",
            $this->beside() > 0 => "pillarboxed to {$this->picture->spoken()}, bars of {$this->beside()} at the sides",
            default => 'fills it',
        };
    }
}
