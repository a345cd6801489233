<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;

/** One place for whatever somebody brings. */
final readonly class BringPage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, code: string, owner: string|null}> those it can be of */
    public array $deliverables;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $deliverables = $production->deliverablesFor($reader)->with('owner')->orderBy('code')->get();
        $this->deliverables = array_values($deliverables->map(static fn (Deliverable $d): array => [
            'id' => $d->id, 'code' => $d->code, 'owner' => $d->owner?->name,
        ])->all());
    }
}
