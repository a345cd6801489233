<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\LenientValue;
use PlainLedger\Core\Specification\RequirementValue;

/** A percentage above nothing: `50`, `62.5 %`. */
final readonly class PercentFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        $value = Fraction::parse(rtrim(trim($text), "% \t"), 'a percentage');
        if ($value->isLessThanOrEqualTo(0) || $value->isGreaterThan(100_000)) {
            throw NotUnderstood::as('a percentage', $text, '100');
        }

        return Fraction::decimal($value, 6);
    }

    protected function readings(Descriptor $descriptor, string $text): array
    {
        return LenientValue::readings($descriptor, $text);
    }

    protected function plain(RequirementValue $value, ?string $text): int|string|null
    {
        return WholeFormat::number($text);
    }
}
