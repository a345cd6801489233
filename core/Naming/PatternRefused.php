<?php

declare(strict_types=1);

namespace PlainLedger\Core\Naming;

use PlainLedger\Core\Text\PlainSentence;

/** A name pattern that cannot make or read names. */
final class PatternRefused extends \InvalidArgumentException implements PlainSentence
{
    public static function because(string $pattern, string $why): self
    {
        return new self(
            'The name pattern “'
                .\PlainLedger\Core\Text\Text::shown(mb_strimwidth($pattern, 0, 80, '…'))
                ."” cannot be used: {$why}",
        );
    }
}
