<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Moment;
use App\Models\CheckState;
use App\Models\SpecificationRevision;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** One revision of a specification. */
final readonly class RevisionLine
{
    public int $number;

    public string $at;

    public ?string $by;

    /** How many checks were made by it, and of how many deliverables. */
    public int $checks;

    public int $deliverables;

    /** It was checked by, and stays as it is. */
    public bool $fixed;

    private function __construct(SpecificationRevision $revision, ?string $by, int $checks, int $deliverables)
    {
        $this->number = $revision->number;
        $this->at = $revision->created_at === null ? '' : Moment::told($revision->created_at);
        $this->by = $by;
        $this->checks = $checks;
        $this->deliverables = $deliverables;
        $this->fixed = $revision->used_at !== null;
    }

    /**
     * @param  Collection<int, SpecificationRevision>  $revisions
     * @return list<self>
     */
    public static function all(Collection $revisions): array
    {
        $checks = DB::table('checks')->whereIn('specification_revision_id', $revisions->modelKeys())
            ->where('state', CheckState::Done->value)
            ->selectRaw(
                'specification_revision_id as id, count(*) as many, count(distinct deliverable_id) as deliverables',
            )
            ->groupBy('specification_revision_id')
            ->get()
            ->keyBy('id');
        $people = User::query()->whereIn('id', $revisions->pluck('user_id')->filter())->pluck('name', 'id');

        return array_values($revisions->map(static fn (SpecificationRevision $r): self => new self(
            $r,
            $people[$r->user_id] ?? null,
            (int) ($checks[$r->id]->many ?? 0),
            (int) ($checks[$r->id]->deliverables ?? 0),
        ))->all());
    }
}
