<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A picture that cannot be decoded, or that is too large to be. */
final class PixelsRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $why, ?\Throwable $previous = null): self
    {
        return new self(null, $why, $previous);
    }

    private function sentence(): string
    {
        return "The picture cannot be shown: {$this->reason}.";
    }
}
