<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Preset;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;

/** What can be followed in a production, and what can be begun from. */
final readonly class SpecificationsPage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, title: string, revision: int, deliverables: int, isRetired: bool}> retired ones last */
    public array $specifications;

    /** @var list<array{id: int, title: string}> */
    public array $presets;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $all = $production->specifications()->with('latest')->withCount('deliverables')
            ->orderByRaw('retired_at is not null, title')->get();
        $this->specifications = array_values($all->map(static fn (Specification $s): array => [
            'id' => $s->id,
            'title' => $s->title,
            'revision' => $s->latest->number,
            'deliverables' => (int) $s->getAttribute('deliverables_count'),
            'isRetired' => $s->retired_at !== null,
        ])->all());
        $presets = $production->presets()->orderBy('title')->get();
        $this->presets = array_values(
            $presets->map(static fn (Preset $p): array => ['id' => $p->id, 'title' => $p->title])->all(),
        );
    }
}
