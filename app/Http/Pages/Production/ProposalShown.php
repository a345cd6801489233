<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\Specification;

/** What files are like that are right, as a specification of them would say it. */
final readonly class ProposalShown
{
    /** @var list<array{name: string, prose: string, lines: list<array{label: string, value: string}>}> */
    public array $parts;

    public function __construct(Specification $proposed)
    {
        $this->parts = array_map(static fn (Part $part): array => [
            'name' => $part->name,
            'prose' => Prose::of($part),
            'lines' => array_values(array_map(
                static fn (Requirement $r): array => ['label' => $r->descriptor->label, 'value' => $r->required()],
                $part->requirements,
            )),
        ], $proposed->parts);
    }
}
