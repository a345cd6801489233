<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use PlainLedger\Core\Specification\Conflicts\Conflict;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SpecificationDraft;

/** A part with its lines, and what a higher layer does not ask any more. */
final readonly class AskedPart extends ImpliedPart
{
    /** @var list<AskedLine> */
    public array $lines;

    /** @var list<DroppedLine> */
    public array $dropped;

    /** @param  list<Conflict>  $conflicts  of all parts */
    public function __construct(SpecificationDraft $draft, Part $part, array $conflicts, AskedByLayer $layers)
    {
        parent::__construct($draft, $part, $conflicts);
        $this->lines = array_map(
            static fn (Requirement $r): AskedLine => new AskedLine(
                $r,
                $layers->said($r->descriptor, $part->name),
                $layers->tokens($r->descriptor, $part->name),
            ),
            array_values($part->requirements),
        );
        $this->dropped = DroppedLine::all($part, $layers);
    }
}
