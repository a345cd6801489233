<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** There is nothing to say of how a movie is made, and why. */
final class RecipeRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function because(string $why): self
    {
        return new self('', $why);
    }

    private function sentence(): string
    {
        return 'There is no recipe: '.$this->reason.'.';
    }
}
