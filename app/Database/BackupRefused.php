<?php

declare(strict_types=1);

namespace App\Database;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A database could not be copied. */
final class BackupRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $database, string $why, ?\Throwable $previous = null): self
    {
        return new self($database, $why, $previous);
    }

    private function sentence(): string
    {
        return "The backup of {$this->place} could not be made: {$this->reason}.";
    }
}
