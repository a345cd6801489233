<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

/** A change of one requirement that ends a conflict. */
final readonly class ConflictResolution
{
    /** @param  string|null  $value  as it would be typed; null: ask it no more */
    private function __construct(public string $requirement, public ?string $value, public string $says) {}

    public static function set(string $requirement, string $value, string $says): self
    {
        return new self($requirement, $value, $says);
    }

    public static function drop(string $requirement, string $says): self
    {
        return new self($requirement, null, $says);
    }

    /** @return array<string, string|null> */
    public function toArray(): array
    {
        return ['requirement' => $this->requirement, 'value' => $this->value, 'says' => $this->says];
    }
}
