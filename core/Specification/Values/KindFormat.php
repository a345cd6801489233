<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Descriptor;

/** A file format: `png`, `OpenEXR`. */
final readonly class KindFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return Kind::fromWord(trim($text))->value
            ?? throw NotUnderstood::as('a format known here', trim($text), 'png, jpeg, exr or mp4');
    }

    public function spoken(string $value): string
    {
        return Kind::tryFrom($value)?->spoken() ?? $value;
    }
}
