<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree\Writers;

use PlainLedger\Core\Tree\TreeReport;

/** The open document `plain-ledger/tree` as JSON (RFC 8259), UTF-8, one trailing newline. */
final readonly class TreeJson implements TreeWriter
{
    public function write(TreeReport $tree): string
    {
        return json_encode(
            $tree->toArray(),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }
}
