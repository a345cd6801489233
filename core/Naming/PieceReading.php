<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

/** One piece of a name beside what was asked there. */
final readonly class PieceReading
{
    /**
     * @param  string  $piece  the piece's name, `separator` for literal text, `extra` for what belongs to none
     * @param  list<Difference>  $differences  empty where it fits
     */
    public function __construct(
        public string $piece,
        public string $asked,
        public string $found,
        public array $differences = [],
    ) {}

    public function differs(): bool
    {
        return $this->differences !== [];
    }
}
