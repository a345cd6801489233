<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist\Readers;

use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Tabular\SeparatedValues;
use PlainLedger\Core\Tabular\Table;
use PlainLedger\Core\Tabular\TableRefused;

/** A list of deliverables as separated values. */
final readonly class CsvTable
{
    /** @throws TableRefused */
    public static function read(string $bytes, string $label): Table
    {
        return Table::of(SeparatedValues::cells($bytes, $label), $label, Column::isHeading(...));
    }
}
