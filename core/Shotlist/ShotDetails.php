<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** What a list says of a deliverable besides what is asked of it. */
final readonly class ShotDetails
{
    /**
     * @param  string|null  $owner  as it was written
     * @param  string|null  $due  `2026-12-01 23:59`
     */
    public function __construct(
        public ?string $title = null,
        public ?string $owner = null,
        public ?string $due = null,
    ) {}
}
