<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\ApprovedPicture;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\RequirementValue;

/** Approved pictures of single frames. */
final readonly class ReferenceFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        return trim($text);
    }

    public function spoken(string $value): string
    {
        return ApprovedPicture::of($value)->spokenOf();
    }

    public function read(Descriptor $descriptor, mixed $json): RequirementValue
    {
        return RequirementValue::oneOf(ApprovedPicture::canonical($json));
    }

    public function write(RequirementValue $value): mixed
    {
        $pictures = array_map(static fn (string $one): mixed => json_decode($one, true), $value->values);

        return count($pictures) === 1 ? $pictures[0] : $pictures;
    }
}
