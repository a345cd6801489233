<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** An exercise that cannot be made, or is none. */
final class PracticeRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $what, string $why): self
    {
        return new self($what, $why);
    }

    private function sentence(): string
    {
        return '“'.Text::shown((string) $this->place)."” {$this->reason}.";
    }
}
