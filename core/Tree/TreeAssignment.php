<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

/** Which files of a tree answer which deliverable. */
final readonly class TreeAssignment
{
    /**
     * @param  array<array-key, list<TreeUnit>>  $units  by the deliverable's key
     * @param  list<TreeUnit>  $several  what fits two or more alike
     * @param  list<TreeUnit>  $none  what nobody asked for
     */
    public function __construct(public array $units, public array $several, public array $none) {}

    /** @return list<TreeUnit> */
    public function of(string $key): array
    {
        return $this->units[$key] ?? [];
    }
}
