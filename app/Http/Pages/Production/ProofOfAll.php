<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Specification\ConflictShown;
use App\Models\Deliverable;
use App\Models\Production;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\SpecificationDraft;

/** What contradicts itself anywhere in a production, and which deliverables would write the same path. */
final readonly class ProofOfAll
{
    private const MOST = 2000;

    /** @var list<array{id: int|null, code: string, conflicts: list<ConflictShown>}> */
    public array $found;

    /** How many were read. */
    public int $read;

    public function __construct(Production $production)
    {
        $all = $production->deliverables()->withAsked()->orderBy('code')->limit(self::MOST)->get();
        $deliverables = $all->keyBy('code');
        $drafts = $deliverables->map(static fn (Deliverable $d): SpecificationDraft => $d->draft())->all();
        $found = [];
        foreach (Proofreader::standard()->readAll($drafts) as $code => $conflicts) {
            $found[] = [
                'id' => $deliverables[$code]->id ?? null,
                'code' => (string) $code,
                'conflicts' => ConflictShown::all($conflicts),
            ];
        }
        $this->found = $found;
        $this->read = $deliverables->count();
    }
}
