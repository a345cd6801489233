<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Text\PlainSentence;

/** A pattern for lines of a log that cannot be used. */
final class LogPatternRefused extends \InvalidArgumentException implements PlainSentence
{
    public static function because(string $sentence): self
    {
        return new self($sentence);
    }
}
