<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Specification\Descriptor;

/** A pattern of names or folders. */
final readonly class PatternFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) NamePattern::parse(trim($text));
    }
}
