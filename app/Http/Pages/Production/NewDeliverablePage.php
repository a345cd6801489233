<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Actions\Specifications\StartingDocument;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;

/** What a new deliverable can begin with. */
final readonly class NewDeliverablePage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, title: string}> */
    public array $specifications;

    /** @var list<array{word: string, group: string, title: string}> */
    public array $presets;

    /** @var list<array{id: int, title: string, production: string}> */
    public array $others;

    /** @var list<array{id: int, label: string}> */
    public array $roots;

    /** @var list<array{id: int, name: string, role: Role}> */
    public array $people;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->specifications = $production->specificationTitles();
        $this->presets = StartingDocument::offered($production);
        $this->others = StartingDocument::elsewhere($production, $reader);
        $roots = $production->intakeRoots()->orderBy('id')->get();
        $this->roots = array_values(
            $roots->map(static fn (IntakeRoot $r): array => ['id' => $r->id, 'label' => $r->label])->all(),
        );
        $this->people = $production->people();
    }
}
