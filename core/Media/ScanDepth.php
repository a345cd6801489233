<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** How much of a file is read: its head and tail, or every byte. */
enum ScanDepth: string
{
    case Quick = 'quick';
    case Full = 'full';
}
