<?php

declare(strict_types=1);

namespace App\Http\Pages\Tree;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\DeliveredTree;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\User;

/** One delivered tree beside all deliverables. */
final readonly class TreePage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, label: string, own: string}> */
    public array $roots;

    /** @var list<array{id: int, code: string, title: string}> */
    public array $deliverables;

    public ?ShownTree $tree;

    public ?string $said;

    public function __construct(Production $production, User $reader)
    {
        $tree = DeliveredTree::query()->where('production_id', $production->id)->latest('id')->first();
        $this->book = new Book($production, $reader);
        $this->roots = array_values($production->intakeRoots()->orderBy('id')->get()->map(
            static fn (IntakeRoot $root): array => ['id' => $root->id, 'label' => $root->label, 'own' => ''],
        )->all());
        $this->deliverables = array_values(
            Deliverable::query()->where('production_id', $production->id)->orderBy('code')
                ->get(['id', 'code', 'title'])
                ->map(static fn (Deliverable $d): array => [
                    'id' => $d->id, 'code' => $d->code, 'title' => $d->title,
                ])
                ->all(),
        );
        $this->tree = $tree === null ? null : new ShownTree($tree);
        $said = session('said');
        $this->said = is_string($said) ? $said : null;
    }
}
