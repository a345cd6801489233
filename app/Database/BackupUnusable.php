<?php

declare(strict_types=1);

namespace App\Database;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** From a backup nothing can be put back. */
final class BackupUnusable extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $file, string $why, ?\Throwable $previous = null): self
    {
        return new self($file, $why, $previous);
    }

    private function sentence(): string
    {
        return "The backup {$this->place} cannot be used: {$this->reason}.";
    }
}
