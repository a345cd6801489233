<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;

/** Text as people write it. */
final readonly class TextFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return trim($text);
    }

    public function isFreeText(): bool
    {
        return true;
    }
}
