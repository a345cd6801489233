<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Values;

/** `yes` or `no`. */
final readonly class YesNoFormat extends TruthFormat
{
    protected function words(): array
    {
        return ['yes', 'no'];
    }
}
