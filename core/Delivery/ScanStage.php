<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\ScanDepth;

/** What is done with one file of a scan. */
enum ScanStage: string
{
    case Quick = 'quick';
    case Full = 'full';
    case Look = 'look';
    case Sum = 'sum';

    public static function reading(ScanDepth $depth): self
    {
        return $depth === ScanDepth::Full ? self::Full : self::Quick;
    }
}
