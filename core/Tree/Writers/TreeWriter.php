<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree\Writers;

use PlainLedger\Core\Tree\TreeReport;

/** Writes what a tree came to. */
interface TreeWriter
{
    public function write(TreeReport $tree): string;
}
