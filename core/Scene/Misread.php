<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** What of a scene's settings was not understood. */
final readonly class Misread
{
    private const MOST_UNKNOWN = 1000;

    /**
     * @param  list<string>  $sentences  keys, and values, that were not understood
     * @param  list<UnknownSetting>  $unknown  the same as far as a name and a value were told, so that a map can be
     *   made of them
     */
    public function __construct(public array $sentences = [], public array $unknown = []) {}

    public function with(string $sentence, ?UnknownSetting $unknown = null): self
    {
        return $this->and(new self([$sentence], $unknown === null ? [] : [$unknown]));
    }

    public function and(self $other): self
    {
        return new self(
            [...$this->sentences, ...$other->sentences],
            array_slice([...$this->unknown, ...$other->unknown], 0, self::MOST_UNKNOWN),
        );
    }

    /** Each sentence once. */
    public function once(): self
    {
        return new self(array_values(array_unique($this->sentences)), $this->unknown);
    }
}
