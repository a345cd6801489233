<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Specification\Descriptor;

/** A size in pixels: `1920x1080`. */
final readonly class ResolutionFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return (string) Resolution::parse(trim($text));
    }

    public function spoken(string $value): string
    {
        return str_replace('x', ' × ', $value);
    }

    protected function between(Descriptor $descriptor): string
    {
        // `1,920 x 1,080` has commas of its own
        return '~\s*\|\s*~';
    }
}
