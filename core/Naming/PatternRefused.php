<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A name pattern that cannot make or read names. */
final class PatternRefused extends \InvalidArgumentException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $pattern, string $why, ?\Throwable $previous = null): self
    {
        return new self($pattern, $why, $previous);
    }

    private function sentence(): string
    {
        return 'The name pattern “'.Text::shown(mb_strimwidth((string) $this->place, 0, 80, '…'))
            ."” cannot be used: {$this->reason}";
    }
}
