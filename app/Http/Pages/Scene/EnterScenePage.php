<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;

/** The sheet for what is read off the screen. */
final readonly class EnterScenePage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    public EntrySheet $entry;

    /** @param  string|null  $part  the part that is typed in, of several */
    public function __construct(Deliverable $deliverable, User $reader, ?string $part)
    {
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->entry = EntrySheet::of($deliverable, $part);
    }
}
