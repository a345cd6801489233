<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;

/** Settings of many scenes at once. */
final readonly class ManyScenesPage
{
    use RendersPage;

    public Book $book;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
    }
}
