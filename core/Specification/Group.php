<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** The ledger's groups, in its order. */
enum Group: string
{
    case Picture = 'Picture';
    case Time = 'Time';
    case Camera = 'Camera';
    case Scene = 'Scene';
    case Render = 'Render';
    case Output = 'Output';
    case Format = 'Format';
    case Colour = 'Colour';
    case Sound = 'Sound';
    case Naming = 'Naming';
    case Content = 'Content';
    case Delivery = 'Delivery';
}
