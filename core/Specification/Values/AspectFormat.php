<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\AspectRatio;
use PlainLedger\Core\Specification\Descriptor;

/** A shape: `16:9`, `2.39`. */
final readonly class AspectFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) AspectRatio::parse(trim($text));
    }
}
