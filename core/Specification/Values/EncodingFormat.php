<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Media\ColourEncoding;
use PlainLedger\Core\Specification\Descriptor;

/** An encoding of colour: `srgb`, `Rec. 709`. */
final readonly class EncodingFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return ColourEncoding::canonical(trim($text));
    }
}
