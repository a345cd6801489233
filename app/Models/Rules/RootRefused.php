<?php

declare(strict_types=1);

namespace App\Models\Rules;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A place where no intake root may lie. */
final class RootRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $path, string $why): self
    {
        return new self($path, $why);
    }

    private function sentence(): string
    {
        return 'The intake path “'.Text::shown((string) $this->place)."” {$this->reason}.";
    }
}
