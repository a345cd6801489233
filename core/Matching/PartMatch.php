<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Specification\Part;

/** What answers one part. */
final readonly class PartMatch
{
    /**
     * @param  array<int, PassMatch>  $passes  by their place
     * @param  array{path: string, kind: Kind, facts: MediaFacts}|null  $instead  a movie where frames are asked, or
     *   the like; facts of the first file
     */
    public function __construct(public Part $part, public array $passes, public ?array $instead) {}

    public function isEmpty(): bool
    {
        foreach ($this->passes as $pass) {
            if (! $pass->isEmpty()) {
                return false;
            }
        }

        return true;
    }
}
