<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use PlainLedger\Core\Shotlist\ListRefused;
use PlainLedger\Core\Shotlist\Table;

/** A list of deliverables as separated values. */
final readonly class CsvTable
{
    /** @throws ListRefused */
    public static function read(string $bytes, string $label): Table
    {
        return Table::of(SeparatedValues::cells($bytes, $label), $label);
    }
}
