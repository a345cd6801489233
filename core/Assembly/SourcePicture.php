<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/** How the pictures look that a movie is made from: their size, and what their colours mean. */
final readonly class SourcePicture
{
    /** @param  string|null  $encoding  of colour; `linear` for floats that say nothing */
    private function __construct(
        public ?Resolution $size,
        public BigRational $pixelAspect,
        public ?string $encoding,
        public ?bool $hasAlpha,
        public ?string $projection,
    ) {}

    public static function asked(Part $part): self
    {
        $size = $part->single(RequirementId::PICTURE_RESOLUTION);
        $channels = $part->find(RequirementId::FORMAT_CHANNELS)?->value->values;
        $isFloat = $part->single(RequirementId::FORMAT_SAMPLE) === 'float' || $part->kinds() === [Kind::Exr];

        return new self(
            $size === null ? null : Resolution::parse($size),
            Fraction::parse($part->single(RequirementId::PICTURE_PIXEL_ASPECT) ?? '1'),
            $part->single(RequirementId::COLOUR_ENCODING) ?? ($isFloat ? 'linear' : null),
            $channels === null ? null : str_contains(implode(' ', $channels), 'A'),
            $part->single(RequirementId::PICTURE_PROJECTION),
        );
    }

    /** The same, as far as files tell it. */
    public function over(MediaFacts $facts): self
    {
        [$picture, $encoding] = [$facts->picture, $facts->encoding];
        $isKnown = $picture->width !== null && $picture->height !== null;

        return new self(
            $isKnown ? Resolution::of((int) $picture->width, (int) $picture->height) : $this->size,
            $picture->pixelAspect ?? $this->pixelAspect,
            $picture->colour ?? ($encoding->sample === 'float' ? 'linear' : $this->encoding),
            $encoding->hasAlpha() ?? $this->hasAlpha,
            $picture->projection ?? $this->projection,
        );
    }

    /** Whether a view has still to be applied to them before anybody sees them as they are meant. */
    public function isLinear(): bool
    {
        return $this->encoding === 'linear';
    }

    public function displayAspect(): ?BigRational
    {
        return $this->size?->displayAspect($this->pixelAspect);
    }
}
