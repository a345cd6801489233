<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\Role;
use App\Models\SavedView;
use App\Models\User;

/** All that a production owes, how it stands, and what can be given to many of it together. */
final readonly class BoardPage
{
    use RendersPage;

    public Book $book;

    public Board $board;

    /** @var list<array{id: int, title: string}> */
    public array $specifications;

    /** @var list<array{id: int, name: string, role: Role}> */
    public array $people;

    /** @var list<array{id: int, code: string, title: string}> deliverables that were put away */
    public array $away;

    /**
     * @var list<array{id: int, name: string, which: string, text: string, specification: string|null, by: string,
     *   down: bool, columns: list<string>}>
     */
    public array $views;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->board = new Board($production);
        $this->specifications = $production->specificationTitles();
        $this->people = $production->people();
        $away = $production->everything()->whereNotNull('put_away_at')->orderBy('code')->get();
        $this->away = array_values($away->map(
            static fn (Deliverable $d): array => ['id' => $d->id, 'code' => $d->code, 'title' => $d->title],
        )->all());
        $views = SavedView::query()->where('production_id', $production->id)->where('user_id', $reader->id);
        $this->views = array_values($views->orderBy('name')->get()->map(
            static fn (SavedView $v): array => ['id' => $v->id, 'name' => $v->name, ...$v->state],
        )->all());
    }
}
