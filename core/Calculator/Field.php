<?php

declare(strict_types=1);

namespace PlainLedger\Core\Calculator;

/** A place to type something into. */
final readonly class Field
{
    public function __construct(
        public string $name,
        public string $label,
        public string $example,
        public string $start = '',
    ) {}
}
