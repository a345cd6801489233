<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A list that cannot be read. */
final class TableRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $where, string $why, ?\Throwable $previous = null): self
    {
        return new self($where, $why, $previous);
    }

    private function sentence(): string
    {
        return "{$this->place}: {$this->reason}";
    }
}
