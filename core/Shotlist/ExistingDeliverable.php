<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** A deliverable that the book has already, as far as a list can change it. */
final readonly class ExistingDeliverable
{
    /**
     * @param  string|null  $due  `2026-12-01 23:59`
     * @param  array<string, string>  $values
     * @param  array<string, string>  $overrides  canonical texts
     */
    public function __construct(
        public string $code,
        public string $title,
        public ?int $owner,
        public ?string $due,
        public array $values,
        public array $overrides,
    ) {}
}
