<?php

declare(strict_types=1);

namespace PlainLedger\Core;

/** A JSON document that cannot be used. */
final class JsonRefused extends \RuntimeException implements PlainSentence
{
    public static function because(string $what, string $why): self
    {
        return new self("{$what}: {$why}");
    }
}
