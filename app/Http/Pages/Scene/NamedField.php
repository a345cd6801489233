<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\FieldUnit;

/** Something that a name in a scene can stand for. */
final readonly class NamedField
{
    /** @param  list<FieldUnit>  $units  in which it can be told */
    private function __construct(
        public string $field,
        public string $label,
        /** @var list<FieldUnit> in which it can be told */
        public array $units,
    ) {}

    /** @return list<self> */
    public static function all(): array
    {
        $offered = FieldNames::offered();

        return array_map(
            static fn (string $field, string $label): self => new self($field, $label, FieldUnit::of($field)),
            array_map(strval(...), array_keys($offered)),
            array_values($offered),
        );
    }
}
