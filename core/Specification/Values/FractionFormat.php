<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Descriptor;

/** A fraction above nothing: `1/1`, `10/11`. */
final readonly class FractionFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $text = trim($text);

        return strtolower($text) === 'square' ? '1/1' : Fraction::writeFull(Fraction::positive($text));
    }
}
