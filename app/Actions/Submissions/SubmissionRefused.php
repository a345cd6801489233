<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A sign-off that cannot be, or that came to nothing. */
final class SubmissionRefused extends \RuntimeException implements PlainSentence
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
