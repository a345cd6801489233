<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;

/** What a copy is to say of itself, while its pictures stay as they are; null leaves a tag as it is. */
final readonly class Tags
{
    public function __construct(
        public ?BigRational $pixelAspect = null,
        public ?int $density = null,
        public ?string $timecode = null,
        public ?string $encoding = null,
        public ?string $projection = null,
        public bool $indexFirst = false,
        public ?FrameRate $rate = null,
    ) {}

    /**
     * What one fix asks to be written, over what was asked before.
     *
     * @throws TagRefused where that cannot be written into a file
     */
    public function with(string $id, string $value): self
    {
        try {
            return match ($id) {
                RequirementId::PICTURE_PIXEL_ASPECT => $this->having(['pixelAspect' => Fraction::parse($value)]),
                RequirementId::PICTURE_DENSITY => $this->having(['density' => (int) $value]),
                RequirementId::TIME_START_TIMECODE => $this->having(['timecode' => $value]),
                RequirementId::COLOUR_ENCODING => $this->having(['encoding' => $value]),
                RequirementId::PICTURE_PROJECTION => $this->having(['projection' => $value]),
                RequirementId::TIME_RATE => $this->having(['rate' => FrameRate::parse($value)]),
                RequirementId::FORMAT_INDEX => $this->having(['indexFirst' => $value === 'first']),
                default => throw TagRefused::because('', "{$id} is no tag that is written here"),
            };
        } catch (NotUnderstood $not) {
            throw TagRefused::because('', "{$id} cannot be {$value}", $not);
        }
    }

    /** @param  array<string, mixed>  $values */
    private function having(array $values): self
    {
        /** @phpstan-ignore argument.type (its own properties) */
        return new self(...($values + get_object_vars($this)));
    }

    public function isNothing(): bool
    {
        return get_object_vars($this) === get_object_vars(new self);
    }
}
