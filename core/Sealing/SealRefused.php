<?php

declare(strict_types=1);

namespace PlainLedger\Core\Sealing;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Sums that cannot be written down, or compared. */
final class SealRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $what, string $why, ?\Throwable $previous = null): self
    {
        return new self($what, $why, $previous);
    }

    private function sentence(): string
    {
        return '“'.Text::shown((string) $this->place)."” {$this->reason}.";
    }
}
