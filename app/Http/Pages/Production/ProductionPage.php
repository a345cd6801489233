<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Preset;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;

/** A production: its deliverables, and for whoever decides its specifications. */
final readonly class ProductionPage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, title: string, revision: int, deliverables: int}> */
    public array $specifications;

    /** @var list<array{id: int, title: string}> */
    public array $presets;

    /** @var list<array{id: int, code: string, title: string}> deliverables that were put away */
    public array $away;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->away = $this->book->decides ? self::away($production) : [];
        $this->specifications = $this->book->decides ? self::specifications($production) : [];
        $this->presets = $this->book->decides ? self::presets($production) : [];
    }

    /** @return list<array{id: int, title: string, revision: int, deliverables: int}> */
    private static function specifications(Production $production): array
    {
        $all = $production->specifications()->with('latest')->withCount('deliverables')->orderBy('title')->get();

        return array_values($all->map(static fn (Specification $s): array => [
            'id' => $s->id,
            'title' => $s->title,
            'revision' => $s->latest->number,
            'deliverables' => (int) $s->getAttribute('deliverables_count'),
        ])->all());
    }

    /** @return list<array{id: int, code: string, title: string}> */
    private static function away(Production $production): array
    {
        $all = $production->everything()->whereNotNull('put_away_at')->orderBy('code')->get();

        return array_values($all->map(
            static fn (Deliverable $d): array => ['id' => $d->id, 'code' => $d->code, 'title' => $d->title],
        )->all());
    }

    /** @return list<array{id: int, title: string}> */
    private static function presets(Production $production): array
    {
        $all = $production->presets()->orderBy('title')->get();

        return array_values($all->map(static fn (Preset $p): array => ['id' => $p->id, 'title' => $p->title])->all());
    }
}
