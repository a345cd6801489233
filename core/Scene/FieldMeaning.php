<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

/** What one name of somebody else's stands for. */
final readonly class FieldMeaning
{
    /**
     * @param  string  $name  as it was written
     * @param  string|null  $is  a field of FieldNames; null where it is of no concern here
     * @param  array<string, string>  $words  by the value as it is written, the value it stands for
     */
    public function __construct(
        public string $name,
        public ?string $is,
        public ?FieldUnit $unit = null,
        public array $words = [],
    ) {}

    /** The value as it is written here. */
    public function value(string $value): string
    {
        foreach ($this->words as $word => $stands) {
            if (mb_strtolower(trim((string) $word)) === mb_strtolower(trim($value))) {
                return $stands;
            }
        }

        return $this->unit === null || $this->is === null ? $value : $this->unit->counted($this->is, $value);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['name' => $this->name, 'is' => $this->is]
            + ($this->unit === null ? [] : ['unit' => $this->unit->value])
            + ($this->words === [] ? [] : ['words' => $this->words]);
    }
}
