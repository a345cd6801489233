<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Specification\RequirementValue;

/** Frames a second: `24`, `23.976`, `24000/1001`. */
final readonly class RateFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) FrameRate::parse(trim($text));
    }

    public function spoken(string $value): string
    {
        return FrameRate::parse($value)->spoken().(str_contains($value, '/') ? " ({$value})" : '');
    }

    protected function fromText(Descriptor $descriptor, string $text): RequirementValue
    {
        // a decimal comma, in the rates that have one
        return parent::fromText(
            $descriptor,
            (string) preg_replace('~\b(23|29|47|59|119),(\d{2,3})\b~', '$1.$2', $text),
        );
    }

    protected function readings(Descriptor $descriptor, string $text): array
    {
        return LenientValue::readings($descriptor, $text);
    }
}
