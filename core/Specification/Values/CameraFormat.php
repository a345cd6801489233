<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

use PlainLedger\Core\Specification\Descriptor;

/** A camera’s name, with `*` and `?`. */
final readonly class CameraFormat extends ValueFormat
{
    public function canonical(string $text, Descriptor $descriptor): string
    {
        // any camera will do, as long as it is one of the scene's
        return preg_match(
            '~^any\s+(?:scene\s+)?camera(?:s)?(?:\s+(?:of|in)\s+(?:the|its)\s+scene)?$~i',
            trim($text),
        ) === 1
            ? '*'
            : trim($text);
    }

    public function isFreeText(): bool
    {
        return true;
    }
}
