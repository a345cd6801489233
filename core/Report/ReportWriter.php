<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

/** Writes an account in one format. */
interface ReportWriter
{
    public function write(CheckReport $account): string;
}
