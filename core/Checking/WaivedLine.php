<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

/** Which line a waiver was given for, and what it asked then. */
final readonly class WaivedLine
{
    /** @param  string  $id  of the requirement */
    public function __construct(
        public string $id,
        public string $part,
        public ?string $pass,
        public string $required,
    ) {}

    public static function of(Entry $entry): self
    {
        return new self($entry->id(), $entry->part, $entry->pass, $entry->required);
    }

    public function is(Entry $entry): bool
    {
        return $this->id === $entry->id()
            && $this->part === $entry->part
            && $this->pass === $entry->pass
            && $this->required === $entry->required;
    }
}
