<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** Which values a requirement takes. */
final readonly class Accepts
{
    /**
     * @param  string  $example  a value as people type it; empty where there is no usual one
     * @param  list<string>  $words  the words it may be; empty for any
     * @param  bool  $several  whether one of several may be asked
     * @param  bool  $bounds  whether a least and a most may be
     * @param  int|null  $least  numbers below it are no value, likewise above $most
     * @param  string|null  $plain  what a number written without a word means: `min`, `max`; null for just that number
     */
    public function __construct(
        public string $example = '',
        public array $words = [],
        public bool $several = false,
        public bool $bounds = false,
        public ?int $least = null,
        public ?int $most = null,
        public ?string $plain = null,
    ) {}

    public function reaches(int $number): bool
    {
        return ($this->least === null || $number >= $this->least) && ($this->most === null || $number <= $this->most);
    }
}
