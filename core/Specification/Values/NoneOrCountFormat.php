<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;

/** `none`, or a whole number. */
final readonly class NoneOrCountFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $text = trim($text);

        return in_array(strtolower($text), ['none', 'no', 'off', '0'], true)
            ? 'none'
            : WholeFormat::whole($text, $descriptor);
    }
}
