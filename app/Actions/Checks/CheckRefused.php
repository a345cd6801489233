<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use PlainLedger\Core\Text\CarriesParts;
use PlainLedger\Core\Text\PlainSentence;

/** A check that is not begun. */
final class CheckRefused extends \RuntimeException implements PlainSentence
{
    use CarriesParts;

    public static function underWay(): self
    {
        return new self(null, 'A check of this deliverable is under way; wait for it or stop it.');
    }

    public static function tooMany(int $most): self
    {
        $had = number_format($most).($most === 1 ? ' check' : ' checks');

        return new self(
            null,
            "This production has had {$had} of files in the last 24 hours, and that is the most it may have. "
            .'Begin this one later, or ask whoever runs the installation for more.'
        );
    }

    public static function tooMuch(string $kept, string $most): self
    {
        return new self(
            null,
            "This production keeps {$kept} of settings, deliveries and checks, and may keep {$most}. "
            .'Ask whoever runs the installation for more, or to clear away what is old.'
        );
    }

    private function sentence(): string
    {
        return $this->reason;
    }
}
