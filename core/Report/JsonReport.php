<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

/** The open document as JSON (RFC 8259), UTF-8, one trailing newline. */
final readonly class JsonReport implements ReportWriter
{
    public function write(CheckReport $account): string
    {
        return json_encode(
            $account->toArray(),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }
}
