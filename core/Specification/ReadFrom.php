<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** Where a requirement can be read. The letter stands for it where many are listed. */
enum ReadFrom: string
{
    case Scene = 'S';
    /** Frames and stills. */
    case Frames = 'F';
    case Movie = 'M';
    /** The delivery as a whole. */
    case Delivery = 'D';
}
