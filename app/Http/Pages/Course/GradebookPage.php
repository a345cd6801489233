<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;

/** Points on their way to another system and its ids on their way here. */
final readonly class GradebookPage
{
    use RendersPage;

    public Book $book;

    /** @var list<array{id: int, title: string}> */
    public array $assignments;

    public CourseTable $table;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->assignments = $production->specificationTitles();
        $this->table = new CourseTable($production);
    }
}
