<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Conflicts\Conflict;

/** A specification as far as it can be understood, and what cannot. */
final readonly class SpecificationDraft
{
    /** @param  list<Conflict>  $faults */
    public function __construct(public Specification $specification, public array $faults) {}
}
