<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Http\Requests\People\HistoryRequest;
use App\Models\About;
use App\Models\Act;
use App\Models\Production;
use App\Models\User;

/** Who changed what, the newest first: in a production, or of the installation. */
final readonly class HistoryPage
{
    use RendersPage;

    private const A_PAGE = 100;

    public ?Book $book;

    /** @var list<array{id: int, at: string, who: string, about: About, what: string}> */
    public array $acts;

    /** @var array{about: string, who: string, text: string, from: string, until: string} */
    public array $filters;

    /** @var list<string> */
    public array $people;

    /** @var list<About> */
    public array $subjects;

    public int $page;

    public int $pages;

    public int $all;

    public function __construct(?Production $production, User $reader, HistoryRequest $request)
    {
        $this->book = $production === null ? null : new Book($production, $reader);
        $this->filters = $request->filters();
        $this->all = $request->acts($production?->id)->count();
        $this->pages = max(1, (int) ceil($this->all / self::A_PAGE));
        $this->page = min($request->number(), $this->pages);
        $acts = $request->acts($production?->id)->forPage($this->page, self::A_PAGE)->get();
        $this->acts = array_values($acts->map(static fn (Act $a): array => [
            'id' => $a->id, 'at' => Moment::told($a->created_at), 'who' => $a->who, 'about' => $a->about,
            'what' => $a->what,
        ])->all());
        $people = Act::query()->where('production_id', $production?->id)->distinct()->orderBy('who')->pluck('who');
        $this->people = array_values($people->map(static fn (mixed $name): string => (string) $name)->all());
        $this->subjects = About::cases();
    }
}
