<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery\Archive;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** An archive that cannot be looked into, or that nobody meant well with. */
final class ArchiveRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $archive, string $why, ?\Throwable $previous = null): self
    {
        return new self($archive, $why, $previous);
    }

    private function sentence(): string
    {
        return 'The archive “'.Text::shown((string) $this->place)."” {$this->reason}.";
    }
}
