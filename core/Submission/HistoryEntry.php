<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Json\CanonicalJson;

/** Something that happened to a deliverable, bound to all that happened before by its sum. */
final readonly class HistoryEntry
{
    /** What the first one comes after. */
    public const NOTHING = '';

    /**
     * @param  int  $number  from 1
     * @param  string  $at  ISO 8601, UTC
     * @param  array<string, mixed>  $facts
     * @param  string  $before  the sum of the entry before; `NOTHING` of the first
     */
    public function __construct(
        public int $number,
        public string $at,
        public string $who,
        public string $act,
        public array $facts,
        public string $before,
    ) {}

    public function sum(): string
    {
        return hash('sha256', CanonicalJson::write([
            'number' => $this->number, 'at' => $this->at, 'who' => $this->who, 'act' => $this->act,
            'facts' => $this->facts, 'before' => $this->before,
        ]));
    }
}
