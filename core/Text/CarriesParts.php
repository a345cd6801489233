<?php

declare(strict_types=1);

namespace PlainLedger\Core\Text;

/** The parts of a `PlainSentence`; the class that uses it says how they are put together. */
trait CarriesParts
{
    final private function __construct(
        private readonly ?string $place,
        private readonly string $reason,
        ?\Throwable $previous = null,
    ) {
        parent::__construct($this->sentence(), 0, $previous);
    }

    public function place(): ?string
    {
        return $this->place;
    }

    public function reason(): string
    {
        return $this->reason;
    }

    abstract private function sentence(): string;
}
