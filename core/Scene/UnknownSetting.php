<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** A setting that was told and not understood: its name, or its value where the name is known. */
final readonly class UnknownSetting
{
    /**
     * @param  string|null  $field  what its name stands for; null where that is not known
     * @param  string|null  $why  what is wrong with the value, as a sentence, where that can be said
     */
    public function __construct(
        public string $name,
        public string $value,
        public ?string $field,
        public ?string $why = null,
    ) {}
}
