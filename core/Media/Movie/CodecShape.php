<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;

/** Size, shape and rate by a codec's own header, in pixels that are shown; and whether it keeps every bit. */
final readonly class CodecShape
{
    public function __construct(
        public ?int $width = null,
        public ?int $height = null,
        public ?BigRational $pixelAspect = null,
        public ?bool $isLossless = null,
        public ?FrameRate $rate = null,
    ) {}

    public function or(self $other): self
    {
        return new self(
            $this->width ?? $other->width,
            $this->height ?? $other->height,
            $this->pixelAspect ?? $other->pixelAspect,
            $this->isLossless ?? $other->isLossless,
            $this->rate ?? $other->rate,
        );
    }
}
