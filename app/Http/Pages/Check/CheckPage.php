<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Check;
use App\Models\User;

/** An earlier check, kept as it was. */
final readonly class CheckPage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    public Ledger $ledger;

    public function __construct(Check $check, User $reader)
    {
        $this->book = new Book($check->deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($check->deliverable);
        $this->ledger = new Ledger($check);
    }
}
