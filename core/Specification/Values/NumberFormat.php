<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Specification\Descriptor;

/** A number, exact to six places: `1.5`, `1/3`. */
final readonly class NumberFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $example = $descriptor->accepts->example;

        return Fraction::decimal(Fraction::parse(trim($text), 'a number', $example === '' ? '1.5' : $example), 6);
    }
}
