<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Media\CodecName;
use PlainLedger\Core\Specification\Descriptor;

/** A codec: `h264`, `ProRes 422 HQ`. */
final readonly class CodecFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return CodecName::canonical(trim($text));
    }
}
