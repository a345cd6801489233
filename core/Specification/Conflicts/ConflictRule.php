<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Specification;

/**
 * One way in which requirements of a part can contradict each other. Only what no delivery could meet is told: a
 * sensible specification is never complained of.
 */
interface ConflictRule
{
    /** @return iterable<Conflict> */
    public function read(Specification $specification, Part $part): iterable;
}
