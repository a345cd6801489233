<?php

declare(strict_types=1);

namespace PlainLedger\Core\Submission;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** What cannot be handed over as it was signed. */
final class PackageRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $reason): self
    {
        return new self(null, $reason);
    }

    private function sentence(): string
    {
        return $this->reason;
    }
}
