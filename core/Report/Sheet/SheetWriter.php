<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report\Sheet;

use PlainLedger\Core\Specification\Specification;

/** Writes what is asked for somebody who did not write it: a person, or a program that a scene is made in. */
interface SheetWriter
{
    public function write(Specification $specification): string;
}
