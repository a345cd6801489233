<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

/** What came out, and how. */
final readonly class Result
{
    public function __construct(public string $label, public string $value, public string $formula) {}
}
