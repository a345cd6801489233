<?php

declare(strict_types=1);

namespace App\Http\Pages\Board;

use App\Actions\Messages\OutboxLetter;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Production;
use App\Models\User;

/** What would be sent to owners. */
final readonly class OutboxPage
{
    use RendersPage;

    public Book $book;

    /** @var list<MessageShown> */
    public array $messages;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->messages = array_map(
            static fn (OutboxLetter $letter): MessageShown => new MessageShown($letter),
            OutboxLetter::all($production),
        );
    }
}
