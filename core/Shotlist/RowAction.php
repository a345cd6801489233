<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

/** What a row of a list would do to the book. */
enum RowAction: string
{
    case Make = 'make';
    case Change = 'change';
    case Same = 'same';
    case Refuse = 'refuse';
}
