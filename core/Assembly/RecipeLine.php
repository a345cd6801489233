<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

/** One setting, as it is typed in. */
final readonly class RecipeLine
{
    /**
     * @param  string|null  $why  where it follows from something, or holds only for some
     * @param  string|null  $id  the requirement whose line of a ledger shows whether it was kept
     */
    public function __construct(
        public string $label,
        public string $value,
        public ?string $why = null,
        public ?string $id = null,
    ) {}
}
