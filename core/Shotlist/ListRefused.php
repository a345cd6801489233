<?php

declare(strict_types=1);

namespace PlainLedger\Core\Shotlist;

use PlainLedger\Core\PlainSentence;

/** A list that cannot be read. */
final class ListRefused extends \RuntimeException implements PlainSentence
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
