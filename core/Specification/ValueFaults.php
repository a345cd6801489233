<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Specification\Conflicts\Conflict;

/** Values of requirements that could not be understood, gathered while a draft is read. */
final class ValueFaults
{
    /** @var array<string, Conflict> */
    private array $conflicts = [];

    public function add(string $id, string $part, string $plain): void
    {
        // said once, also where an outer requirement holds for several parts
        $this->conflicts["{$id}: {$plain}"] ??= Conflict::between([$id], $part, $plain);
    }

    /** @return list<Conflict> */
    public function list(): array
    {
        return array_values($this->conflicts);
    }
}
