<?php

declare(strict_types=1);

namespace App\Webhooks;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** An address that is not called. */
final class WebhookRefused extends \RuntimeException implements PlainSentence
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
