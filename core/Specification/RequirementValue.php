<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use Brick\Math\BigDecimal;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Naming\PatternRefused;

/** The value of a requirement: one text, one of several, or bounds. */
final readonly class RequirementValue implements \Stringable
{
    /**
     * @param  list<string>  $values  canonical texts of the descriptor's type; one of them will do (for passes: all)
     * @param  string|null  $min  a canonical number (or duration), likewise $max
     * @param  array<string, array<string, mixed>>  $own  of passes: what is asked of one alone, by its name, still as
     *   it was written
     * @param  bool  $number  of a fact of their own: asked as a number, not as the text of one
     */
    private function __construct(
        public array $values,
        public ?string $min,
        public ?string $max,
        public array $own = [],
        public bool $number = false,
        public PixelLimits $pixels = new PixelLimits,
    ) {}

    public static function one(string $value): self
    {
        return new self([$value], null, null);
    }

    /** @param  list<string>  $values */
    public static function oneOf(array $values): self
    {
        return new self(array_values(array_unique($values)), null, null);
    }

    public static function between(?string $min, ?string $max): self
    {
        return new self([], $min, $max);
    }

    /** @param  array<string, array<string, mixed>>  $own  by the names of passes */
    public function ofPasses(array $own): self
    {
        return new self($this->values, $this->min, $this->max, $own, $this->number, $this->pixels);
    }

    public function asNumber(): self
    {
        return new self($this->values, $this->min, $this->max, $this->own, true, $this->pixels);
    }

    public function looking(PixelLimits $pixels): self
    {
        return new self($this->values, $this->min, $this->max, $this->own, $this->number, $pixels);
    }

    /**
     * What somebody typed into one field: a fact of their own that is plainly a number is one. `4.10` stays text,
     * since it may be a version.
     */
    public static function typed(Descriptor $descriptor, string $text): string|int|float
    {
        if (
            $descriptor->type !== ValueType::Any
            || preg_match('~^\s*-?(?:0|[1-9]\d{0,11})(?:\.\d{0,6}[1-9])?\s*$~D', $text) !== 1
        ) {
            return $text;
        }

        return str_contains($text, '.') ? (float) $text : (int) $text;
    }

    /**
     * @param  mixed  $json  a scalar, a list, or an object with value, min, max and what the type adds
     *
     * @throws NotUnderstood|PatternRefused
     */
    public static function read(Descriptor $descriptor, mixed $json): self
    {
        return $descriptor->type->format()->read($descriptor, $json);
    }

    /** The value where one was asked plainly. */
    public function single(): ?string
    {
        return $this->values[0] ?? null;
    }

    /** `zip | zips`, `>= 128`, `90..150`. */
    public function __toString(): string
    {
        return match (true) {
            $this->values !== [] => implode(' | ', $this->values).$this->pixelText(),
            $this->min !== null && $this->max !== null => "{$this->min}..{$this->max}",
            $this->min !== null => ">= {$this->min}",
            default => "<= {$this->max}",
        };
    }

    private function pixelText(): string
    {
        return ($this->pixels->threshold === null ? '' : ", threshold {$this->pixels->threshold}")
            .($this->pixels->share === null ? '' : ", at most {$this->pixels->share} %")
            .($this->pixels->tolerance === null ? '' : ", tolerance {$this->pixels->tolerance}");
    }

    /** Whether a canonical number lies within the bounds, or is one of the values. */
    public function admitsNumber(string $number): bool
    {
        $found = BigDecimal::of($number);
        if ($this->values !== []) {
            return array_filter(
                $this->values,
                static fn (string $value): bool => $found->isEqualTo(BigDecimal::of($value)),
            ) !== [];
        }

        return ($this->min === null || $found->isGreaterThanOrEqualTo(BigDecimal::of($this->min)))
            && ($this->max === null || $found->isLessThanOrEqualTo(BigDecimal::of($this->max)));
    }
}
