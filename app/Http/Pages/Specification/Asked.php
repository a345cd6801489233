<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Pages\ByKey;
use App\Models\Deliverable;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\Proofreader;

/** What is asked of a deliverable as it stands: all parts, the values of names, and who changed it last. */
final readonly class Asked
{
    /** @var list<AskedPart> */
    public array $parts;

    /** @var ByKey<string> what pieces of names stand for */
    public ByKey $values;

    /** @var ByKey<string> those of the deliverable alone */
    public ByKey $own;

    /** @var list<OfferedRequirement> */
    public array $offered;

    /** @var list<string> */
    public array $notUnderstood;

    public int $usedBy;

    /** The specification's id. */
    public int $specification;

    public AskedState $state;

    public function __construct(Deliverable $deliverable)
    {
        $draft = $deliverable->draft();
        $conflicts = Proofreader::standard()->read($draft);
        $layers = new AskedByLayer($deliverable, count($draft->specification->parts) > 1);
        $this->parts = array_map(
            static fn (Part $part): AskedPart => new AskedPart($draft, $part, $conflicts, $layers),
            $draft->specification->parts,
        );
        /** @var array<string, string> $values */
        $values = array_filter($draft->specification->values, static fn (string $v): bool => $v !== '');
        $this->values = new ByKey($values);
        $this->own = new ByKey($deliverable->values);
        $this->offered = OfferedRequirement::all();
        $this->notUnderstood = $draft->specification->notUnderstood;
        $this->usedBy = $deliverable->specification->deliverables()->count();
        $this->specification = $deliverable->specification_id;
        $this->state = new AskedState($deliverable);
    }
}
