<?php

declare(strict_types=1);

namespace App\Actions\People;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** What cannot be done with somebody, or by a link. */
final class PeopleRefused extends \RuntimeException implements PlainSentence
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
