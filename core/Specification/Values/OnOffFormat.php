<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

/** `on` or `off`. */
final readonly class OnOffFormat extends TruthFormat
{
    protected function words(): array
    {
        return ['on', 'off'];
    }
}
