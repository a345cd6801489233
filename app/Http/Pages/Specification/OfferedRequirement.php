<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Group;

/** Something that can be asked, with the words by which it is found. */
final readonly class OfferedRequirement
{
    /** @var RequirementKey */
    public string $id;

    public string $label;

    public Group $group;

    public string $example;

    public string $also;

    /** @var list<string> */
    public array $words;

    private function __construct(Descriptor $descriptor)
    {
        $this->id = $descriptor->id;
        $this->label = $descriptor->label;
        $this->group = $descriptor->group;
        $this->example = $descriptor->accepts->example;
        $this->also = $descriptor->wording->also;
        $this->words = $descriptor->accepts->words;
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (Descriptor $d): self => new self($d), Catalogue::standard()->all());
    }
}
