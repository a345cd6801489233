<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** A count of bytes: `25 MB`, `1.5 GiB`. */
final readonly class ByteSizeFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) ByteSize::parse(trim($text))->bytes;
    }

    public function spoken(string $value): string
    {
        return (string) ByteSize::of((int) $value);
    }

    protected function plain(RequirementValue $value, ?string $text): int|string|null
    {
        return WholeFormat::number($text);
    }
}
