<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A pattern for lines of a log that cannot be used. */
final class LogPatternRefused extends \InvalidArgumentException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $sentence, ?\Throwable $previous = null): self
    {
        return new self(null, $sentence, $previous);
    }

    private function sentence(): string
    {
        return $this->reason;
    }
}
