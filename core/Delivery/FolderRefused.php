<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A folder that cannot, or may not, be looked into. */
final class FolderRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $folder, string $why, ?\Throwable $previous = null): self
    {
        return new self($folder, $why, $previous);
    }

    private function sentence(): string
    {
        return 'The folder “'.Text::shown((string) $this->place)."” {$this->reason}.";
    }
}
