<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\BitRate;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Bits a second: `8 Mbit/s`. */
final readonly class BitRateFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) BitRate::parse(trim($text))->bits;
    }

    public function spoken(string $value): string
    {
        return (string) BitRate::parse($value);
    }

    protected function plain(RequirementValue $value, ?string $text): int|string|null
    {
        return WholeFormat::number($text);
    }
}
