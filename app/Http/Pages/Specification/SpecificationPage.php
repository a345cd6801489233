<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Pages\Account\OfferedSum;
use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;

/** What is asked of a deliverable, line by line, with what follows from it. */
final readonly class SpecificationPage
{
    use RendersPage;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{specify: bool} */
    public array $may;

    public Asked $asked;

    /** @var list<OfferedSum> */
    public array $sums;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['specify' => $reader->can('specify', $deliverable)];
        $this->asked = new Asked($deliverable);
        $this->sums = OfferedSum::all();
    }
}
