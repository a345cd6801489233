<?php

declare(strict_types=1);

namespace PlainLedger\Core\Practice;

/** A delivery that was held against a specification which somebody wrote for a described job. */
final readonly class TriedDelivery
{
    /**
     * @param  string  $says  what it is, for whoever let it pass
     * @param  string|null  $catches  the line that would tell it; null where nothing is wrong with it
     * @param  array<string, string>  $unequal  what differs by that specification, in words, by the line's id
     */
    public function __construct(
        public string $says,
        public ?string $catches,
        public array $unequal,
    ) {}

    public function isRight(): bool
    {
        return $this->catches === null;
    }
}
