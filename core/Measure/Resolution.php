<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** A picture's size in whole pixels. */
final readonly class Resolution implements \Stringable
{
    /** Longer sides than this are no picture's. */
    public const LARGEST = 1_000_000;

    private function __construct(public int $width, public int $height) {}

    /** @throws NotUnderstood unless both sides are 1 to 1,000,000 pixels */
    public static function of(int $width, int $height): self
    {
        if ($width < 1 || $height < 1 || $width > self::LARGEST || $height > self::LARGEST) {
            throw NotUnderstood::because(
                "A picture of {$width} by {$height} pixels is not possible: each side is from 1 to 1,000,000.",
            );
        }

        return new self($width, $height);
    }

    /**
     * Reads `1920x1080`, `1920 × 1080`, `1920*1080`, `1920 by 1080`, `1920,1080`.
     *
     * @throws NotUnderstood
     */
    public static function parse(string $text): self
    {
        if (preg_match('~^\s*(\d{1,7})\s*(?:x|X|×|\*|by|,|;|\s)\s*(\d{1,7})\s*(?:px|pixels)?\s*$~u', $text, $m) !== 1) {
            throw NotUnderstood::as('a size in pixels', $text, '1920x1080');
        }

        return self::of((int) $m[1], (int) $m[2]);
    }

    public function __toString(): string
    {
        return "{$this->width}x{$this->height}";
    }

    /** With a multiplication sign, for sentences. */
    public function spoken(): string
    {
        return "{$this->width} × {$this->height}";
    }

    public function equals(self $other): bool
    {
        return $this->width === $other->width && $this->height === $other->height;
    }

    public function swapped(): self
    {
        return new self($this->height, $this->width);
    }

    public function pixels(): int
    {
        return $this->width * $this->height;
    }

    /** Each side × percent / 100, rounded; a side never falls below one pixel. */
    public function scaled(BigRational $percent, RoundingMode $rounding = RoundingMode::HALF_UP): self
    {
        $side = static fn (int $length): int => max(
            1,
            min(
                self::LARGEST,
                BigRational::of($length)->multipliedBy($percent)->dividedBy(100)->toScale(0, $rounding)->toInt(),
            ),
        );

        return new self($side($this->width), $side($this->height));
    }

    /** width × pixel aspect / height, exact. */
    public function displayAspect(BigRational $pixelAspect): BigRational
    {
        return BigRational::nd($this->width, $this->height)->multipliedBy($pixelAspect)->simplified();
    }
}
