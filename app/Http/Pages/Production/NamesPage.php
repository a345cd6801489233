<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Http\Pages\Scene\NamedField;
use App\Models\Production;
use App\Models\User;
use PlainLedger\Core\RenderLog\LogEvent;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMeaning;

/** What settings are called in this production, and how the lines of its logs read. */
final readonly class NamesPage
{
    use RendersPage;

    public Book $book;

    /** @var list<NamedSetting> */
    public array $names;

    /** @var list<NamedField> */
    public array $fields;

    /** @var list<array{name: string, patterns: list<array{event: string, pattern: string}>, example: string}> */
    public array $shapes;

    /** How many of the shapes, the first ones, are the production's own. */
    public int $own;

    /** @var list<array{event: LogEvent, says: string}> */
    public array $events;

    /** @var list<string> */
    public array $pieces;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->names = array_map(
            static fn (FieldMeaning $m): NamedSetting => new NamedSetting($m),
            $production->fieldMap()->meanings(),
        );
        $this->fields = NamedField::all();
        $this->shapes = array_map(
            static fn (LogShape $s): array => [
                'name' => $s->name, 'patterns' => $s->toArray(), 'example' => $s->example,
            ],
            $production->logShapes(),
        );
        $this->own = count($production->log_shapes ?? []);
        $this->events = array_map(
            static fn (LogEvent $e): array => ['event' => $e, 'says' => $e->spoken()],
            LogEvent::cases(),
        );
        $this->pieces = array_keys(LogPattern::PIECES);
    }
}
