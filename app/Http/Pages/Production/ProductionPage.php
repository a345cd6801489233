<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;

/** A production as those see it who make something for it: what is theirs, what is asked, what is next. */
final readonly class ProductionPage
{
    use RendersPage;

    public Book $book;

    /** @var list<OwnLine> what is due first stands first */
    public array $own;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $own = $production->deliverables()->owedBy($reader)->forBoard()
            ->orderByRaw('due_at is null, due_at, code')->get();
        $this->own = array_values($own->map(static fn (Deliverable $d): OwnLine => new OwnLine($d))->all());
    }
}
