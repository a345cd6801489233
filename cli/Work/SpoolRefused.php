<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** What was found could not be put aside. */
final class SpoolRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $why): self
    {
        $full = str_contains($why, 'No space left') || str_contains($why, 'quota');

        return new self(null, $full
            ? 'The disk is full: what was found could not be kept. Make room, then check again.'
            : 'What was found could not be kept: the folder for work under way may not be written to.');
    }

    private function sentence(): string
    {
        return $this->reason;
    }
}
