<?php

declare(strict_types=1);

namespace PlainLedger\Core\Recognition;

/** What a file is, in a few words, and what it says of whose it is. */
final readonly class Brought
{
    /**
     * @param  string  $says  what it is, as in “the settings of 3 scenes”
     * @param  list<string>  $whose  texts that may name the deliverable, the plainest first
     * @param  list<array{name: string, email: string}>  $people  of a list of people
     */
    public function __construct(
        public BroughtKind $kind,
        public string $says,
        public array $whose = [],
        public array $people = [],
    ) {}
}
