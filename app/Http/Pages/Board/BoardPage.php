<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;

/** How all deliverables of a production stand. */
final readonly class BoardPage
{
    use RendersPage;

    public Book $book;

    public Board $board;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->board = new Board($production);
    }
}
