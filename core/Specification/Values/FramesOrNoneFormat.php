<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;

/** `none`, or frames. */
abstract readonly class FramesOrNoneFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return preg_match('~^(?:none|no|off|)$~i', trim($text)) === 1 ? 'none' : RangeFormat::frames(trim($text));
    }
}
