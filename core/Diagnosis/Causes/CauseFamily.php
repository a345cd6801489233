<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Situation;

/** One cause, or a tight family of them, found by its evidence and by nothing else. */
interface CauseFamily
{
    /** @return iterable<Finding> none where the evidence is missing */
    public function find(Situation $situation): iterable;
}
