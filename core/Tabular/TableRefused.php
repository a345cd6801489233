<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tabular;

use PlainLedger\Core\Text\PlainSentence;

/** A list that cannot be read. */
final class TableRefused extends \RuntimeException implements PlainSentence
{
    /** @param  string  $plain  what is wrong, without where */
    private function __construct(string $message, public readonly string $plain)
    {
        parent::__construct($message);
    }

    public static function because(string $where, string $why): self
    {
        return new self("{$where}: {$why}", $why);
    }
}
