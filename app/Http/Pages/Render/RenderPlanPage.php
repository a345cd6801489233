<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;
use App\Rendering\RenderWork;

/** Everything that is still due and has a time, as one list. */
final readonly class RenderPlanPage
{
    use RendersPage;

    public Book $book;

    public Pool $pool;

    public Plan $plan;

    /** @var list<array{id: int, code: string, frames: string}> due, with no time known for a frame */
    public array $untimed;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->pool = new Pool($production);
        $this->plan = new Plan(RenderWork::plan($production, RenderWork::pool($production)));
        $this->untimed = RenderWork::untimed($production);
    }
}
