<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Actions\Checks\AskedLayers;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\SpecificationRevision;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Specification\RevisionDifference;
use PlainLedger\Core\Specification\Specification as Resolved;

/** A specification's revisions, two of them beside each other, and what was checked by which. */
final readonly class RevisionsPage
{
    /** @return array<string, mixed> */
    public static function of(Specification $specification, ?int $from, ?int $to): array
    {
        $revisions = $specification->revisions()->orderByDesc('number')->get();
        $checks = DB::table('checks')->whereIn('specification_revision_id', $revisions->modelKeys())
            ->where('state', 'done')
            ->selectRaw(
                'specification_revision_id as id, count(*) as many, count(distinct deliverable_id) as deliverables',
            )
            ->groupBy('specification_revision_id')
            ->get()
            ->keyBy('id');
        $people = User::query()->whereIn('id', $revisions->pluck('user_id')->filter())->pluck('name', 'id');
        $numbers = $revisions->pluck('number')->all();
        $to = in_array($to, $numbers, true) ? $to : ($numbers[0] ?? null);
        $from = in_array($from, $numbers, true) ? $from : ($numbers[1] ?? $to);

        return [
            'specification' => ['id' => $specification->id, 'title' => $specification->title],
            'revisions' => $revisions->map(static fn (SpecificationRevision $r): array => [
                'number' => $r->number,
                'at' => $r->created_at?->format('j M Y, H:i') ?? '',
                'by' => $people[$r->user_id] ?? null,
                'checks' => (int) ($checks[$r->id]->many ?? 0),
                'deliverables' => (int) ($checks[$r->id]->deliverables ?? 0),
                'fixed' => $r->used_at !== null,
            ])->all(),
            'from' => $from,
            'to' => $to,
            'differs' => self::differs($revisions->firstWhere('number', $from), $revisions->firstWhere('number', $to)),
            'parts' => self::partNames($revisions->first()),
            'users' => $specification->deliverables()
                ->orderBy('code')
                ->get()
                ->map(
                    static fn (Deliverable $d): array => [
                        'id' => $d->id,
                        'code' => $d->code,
                        'title' => $d->title,
                        'overrides' => count($d->overrides),
                    ],
                )
                ->all(),
            'outOfDate' => array_map(
                static fn (Check $c): array => [
                    'id' => $c->id,
                    'deliverable' => $c->deliverable->code,
                    'deliverableId' => $c->deliverable_id,
                    'revision' => $c->revision->number,
                ],
                AskedLayers::outOfDate($specification),
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function differs(?SpecificationRevision $before, ?SpecificationRevision $after): array
    {
        return $before === null || $after === null
            ? []
            : RevisionDifference::between(
                Resolved::draft($before->layer())->specification,
                Resolved::draft($after->layer())->specification,
            );
    }

    /** @return list<array{name: string, delivers: string, madeFrom: string|null}> */
    private static function partNames(?SpecificationRevision $latest): array
    {
        return $latest === null
            ? []
            : array_map(
                static fn ($p): array => [
                    'name' => $p->name,
                    'delivers' => $p->delivers->value,
                    'madeFrom' => $p->madeFrom,
                ],
                Resolved::draft($latest->layer())->specification->parts,
            );
    }
}
