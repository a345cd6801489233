<?php

declare(strict_types=1);

namespace App\Http;

use PlainLedger\Core\Specification\SpecificationRefused;
use PlainLedger\Core\Text\PlainSentence;

/** What is wrong, as it is said beside the field where it was typed: without where it stands. */
final readonly class FriendlyMessage
{
    public static function said(PlainSentence $refused): string
    {
        return $refused instanceof SpecificationRefused && $refused->requirement !== null
            ? $refused->reason()
            : $refused->getMessage();
    }
}
