<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;

/** All movies that a production owes. */
final readonly class MoviesPage
{
    use RendersPage;

    public Book $book;

    /** @var list<MovieRow> */
    public array $movies;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $rows = [];
        $production->deliverables()->forIndex()->with('owner')->orderBy('code')->each(
            static function (Deliverable $deliverable) use (&$rows): void {
                array_push($rows, ...MovieRow::all($deliverable));
            },
        );
        $this->movies = $rows;
    }
}
