<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

/** How much a requirement weighs: only a *must* decides whether a check balances. */
enum Level: string
{
    case Must = 'must';
    case Should = 'should';
}
