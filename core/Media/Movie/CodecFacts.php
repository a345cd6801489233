<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use Brick\Math\BigRational;

/** What a codec's own header tells of its pictures. What it does not tell is null. */
final readonly class CodecFacts
{
    /**
     * @param  list<string>|null  $channels  `R G B`, `R G B A`, `Y`: pictures of light and colour difference count as
     *   the first
     * @param  array{int, int}|null  $codePoints  colour primaries and transfer (ITU-T H.273)
     */
    public function __construct(
        public ?string $profile = null,
        public ?int $bitDepth = null,
        public ?string $chroma = null,
        public ?array $channels = null,
        public ?string $scan = null,
        public ?array $codePoints = null,
        public CodecShape $shape = new CodecShape,
    ) {}

    public function isLossless(?bool $lossless): self
    {
        $shape = $this->shape;

        return $this->with(
            new CodecShape($shape->width, $shape->height, $shape->pixelAspect, $lossless, $shape->rate),
        );
    }

    /** What another source tells, where this one is silent. */
    public function or(self $other): self
    {
        return new self(
            $this->profile ?? $other->profile,
            $this->bitDepth ?? $other->bitDepth,
            $this->chroma ?? $other->chroma,
            $this->channels ?? $other->channels,
            $this->scan ?? $other->scan,
            $this->codePoints ?? $other->codePoints,
            $this->shape->or($other->shape),
        );
    }

    public function pixelAspect(): ?BigRational
    {
        return $this->shape->pixelAspect;
    }

    private function with(CodecShape $shape): self
    {
        return new self(
            $this->profile,
            $this->bitDepth,
            $this->chroma,
            $this->channels,
            $this->scan,
            $this->codePoints,
            $shape,
        );
    }
}
