<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\BookIndex;
use App\Http\Pages\Book\IndexLine;
use App\Http\Pages\RendersPage;
use App\Http\Pages\Specification\OfferedRequirement;
use App\Models\Production;
use App\Models\User;

/** One change of many deliverables. */
final readonly class TogetherPage
{
    use RendersPage;

    public Book $book;

    /** @var list<OfferedRequirement> */
    public array $offered;

    /** @var list<IndexLine> */
    public array $lines;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->lines = (new BookIndex($production, $reader))->lines;
        $this->offered = OfferedRequirement::all();
    }
}
