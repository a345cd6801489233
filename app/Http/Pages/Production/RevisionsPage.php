<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Actions\Checks\AskedLayers;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\SpecificationRevision;
use App\Models\User;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RevisionDifference;
use PlainLedger\Core\Specification\Specification as Resolved;

/** The revisions of a specification, what differs between two, and who follows it. */
final readonly class RevisionsPage
{
    use RendersPage;

    public Book $book;

    /** @var array{id: int, title: string, isRetired: bool} */
    public array $specification;

    /** @var list<RevisionLine> */
    public array $revisions;

    public ?int $from;

    public ?int $to;

    /** @var list<array{part: string, id: string, label: string, from: string|null, to: string|null}> */
    public array $differs;

    /** @var list<array{name: string, delivers: Delivers, madeFrom: string|null}> */
    public array $parts;

    /** @var list<array{id: int, code: string, title: string, overrides: int}> */
    public array $users;

    /** @var list<array{id: int, deliverable: string, deliverableId: int, revision: int}> newest by another one */
    public array $outOfDate;

    public function __construct(Specification $specification, User $reader, ?int $from, ?int $to)
    {
        $revisions = $specification->revisions()->orderByDesc('number')->get();
        $numbers = $revisions->pluck('number')->all();
        $this->to = in_array($to, $numbers, true) ? $to : ($numbers[0] ?? null);
        $this->from = in_array($from, $numbers, true) ? $from : ($numbers[1] ?? $this->to);
        $this->book = new Book($specification->production, $reader);
        $this->specification = [
            'id' => $specification->id, 'title' => $specification->title,
            'isRetired' => $specification->retired_at !== null,
        ];
        $this->revisions = RevisionLine::all($revisions);
        $this->differs = self::differs(
            $revisions->firstWhere('number', $this->from),
            $revisions->firstWhere('number', $this->to),
        );
        $this->parts = self::parts($revisions->first());
        $this->users = self::users($specification);
        $this->outOfDate = array_map(static fn (Check $c): array => [
            'id' => $c->id,
            'deliverable' => $c->deliverable->code,
            'deliverableId' => $c->deliverable_id,
            'revision' => $c->revision->number,
        ], AskedLayers::outOfDate($specification));
    }

    /** @return list<array{part: string, id: string, label: string, from: string|null, to: string|null}> */
    private static function differs(?SpecificationRevision $before, ?SpecificationRevision $after): array
    {
        return $before === null || $after === null
            ? []
            : RevisionDifference::between(
                Resolved::draft($before->layer())->specification,
                Resolved::draft($after->layer())->specification,
            );
    }

    /** @return list<array{name: string, delivers: Delivers, madeFrom: string|null}> */
    private static function parts(?SpecificationRevision $latest): array
    {
        return array_map(
            static fn (Part $p): array => [
                'name' => $p->name, 'delivers' => $p->delivers, 'madeFrom' => $p->madeFrom,
            ],
            $latest === null ? [] : Resolved::draft($latest->layer())->specification->parts,
        );
    }

    /** @return list<array{id: int, code: string, title: string, overrides: int}> */
    private static function users(Specification $specification): array
    {
        $all = $specification->deliverables()->orderBy('code')->get();

        return array_values($all->map(static fn (Deliverable $d): array => [
            'id' => $d->id, 'code' => $d->code, 'title' => $d->title, 'overrides' => count($d->overrides),
        ])->all());
    }
}
