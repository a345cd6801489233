<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Models\Membership;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use PlainLedger\Core\Shotlist\Column;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;

/** Deliverables from a list, a timeline or a roster. */
final readonly class FromListPage
{
    use RendersPage;

    private const LABELS = [
        'code' => 'shot code', 'title' => 'title', 'range' => 'frame range', 'first' => 'first frame',
        'last' => 'last frame', 'count' => 'count of frames', 'handles' => 'handles', 'head' => 'head handle',
        'tail' => 'tail handle', 'camera' => 'camera', 'version' => 'version', 'owner' => 'owner', 'due' => 'due',
        'rate' => 'frame rate', 'task' => 'task',
    ];

    public Book $book;

    /** @var list<array{id: int, title: string}> */
    public array $specifications;

    /** @var list<array{word: string, label: string}> what a column can mean */
    public array $columns;

    /** @var list<array{id: int, name: string, handle: string}> */
    public array $learners;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->specifications = $production->specificationTitles();
        $this->columns = self::columns();
        $learners = $production->memberships()->where('role', Role::Learner->value)->with('user')->get();
        $this->learners = array_values($learners->map(static fn (Membership $m): array => [
            'id' => $m->user->id, 'name' => $m->user->name, 'handle' => $m->user->handle,
        ])->all());
    }

    /** @return list<array{word: string, label: string}> */
    private static function columns(): array
    {
        return [
            ...array_map(
                static fn (string $w): array => ['word' => $w, 'label' => self::LABELS[$w] ?? $w],
                Column::words(),
            ),
            ...array_map(
                static fn (Descriptor $d): array => ['word' => $d->id, 'label' => $d->label],
                Catalogue::standard()->all(),
            ),
        ];
    }
}
