<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Text\PlainSentence;

/** A picture that cannot be decoded, or that is too large to be. */
final class PixelsRefused extends \RuntimeException implements PlainSentence
{
    public static function because(string $why): self
    {
        return new self("The picture cannot be shown: {$why}.");
    }
}
