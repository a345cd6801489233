<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/**
 * One thing that can be asked: its id, where it can be read, how its value is written and said. Schema, types and
 * forms are generated from these.
 */
final readonly class Descriptor
{
    /**
     * @param  string  $sides  letters of where it is read: S scene, F frames and stills, M movie, D the delivery
     * @param  string  $sentence  `%s` stands for the value; what the sheet says
     * @param  list<string>  $words  what a Word may be
     * @param  string  $example  a value as people type it
     * @param  int|null  $least  numbers below it are no answer, likewise above $most
     * @param  string|null  $plain  what a number written without a word means: `min`, `max`; null for just that number
     * @param  string  $also  usual words for it, by which people look for it
     */
    public function __construct(
        public string $id,
        public Group $group,
        public string $label,
        public ValueType $type,
        public string $sides,
        public string $sentence,
        public array $words = [],
        public string $example = '',
        public bool $several = false,
        public bool $bounds = false,
        public ?int $least = null,
        public ?int $most = null,
        public string $also = '',
        public ?string $plain = null,
    ) {}

    /**
     * The one text that everything people write for the same value becomes.
     *
     * @throws \PlainLedger\Core\Measure\NotUnderstood|\PlainLedger\Core\Naming\PatternRefused
     */
    public function canonical(string $text): string
    {
        return $this->type->canonical(Spellings::usual($this->id, $text), $this->words, $this->example);
    }

    /** Whether the scene can tell it. */
    public function inScene(): bool
    {
        return str_contains($this->sides, 'S');
    }
}
