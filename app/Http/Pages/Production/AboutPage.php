<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Role;
use App\Models\User;

/** What a deliverable is called, who owes it and until when. */
final readonly class AboutPage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{code: string, title: string, specification: int, owner: int|null, due: string} */
    public array $about;

    /** @var list<array{id: int, title: string}> */
    public array $specifications;

    /** @var list<array{id: int, name: string, role: Role}> */
    public array $people;

    public bool $isAway;

    public int $checks;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $production = $deliverable->production;
        $this->book = new Book($production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->about = [
            'code' => $deliverable->code, 'title' => $deliverable->title,
            'specification' => $deliverable->specification_id, 'owner' => $deliverable->owner_id,
            'due' => Moment::field($deliverable->due_at),
        ];
        $this->specifications = $production->specificationTitles($deliverable->specification_id);
        $this->people = $production->people();
        $this->isAway = $deliverable->put_away_at !== null;
        $this->checks = $deliverable->checks()->count();
    }
}
