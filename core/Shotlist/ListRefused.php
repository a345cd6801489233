<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\PlainSentence;

/** A list that cannot be read. */
final class ListRefused extends \RuntimeException implements PlainSentence
{
    public static function because(string $where, string $why): self
    {
        return new self("{$where}: {$why}");
    }
}
