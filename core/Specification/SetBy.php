<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** The layer that set a resolved value; a later one replaces an earlier. */
enum SetBy: string
{
    case House = 'house';
    case Specification = 'specification';
    case Deliverable = 'deliverable';
}
