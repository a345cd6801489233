<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\IndexLine;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use PlainLedger\Core\Checking\Verdict;

/** A production, and how its deliverables stand. */
final readonly class ProductionLine
{
    public int $id;

    public string $code;

    public string $name;

    public string $kind;

    public ?Role $role;

    public int $deliverables;

    public int $unbalanced;

    public int $open;

    public int $balanced;

    public function __construct(Production $production, User $reader)
    {
        $book = new Book($production, $reader);
        $verdicts = array_map(static fn (IndexLine $line): string => $line->verdict->value ?? '', $book->index);
        $counts = array_count_values($verdicts);
        $this->id = $production->id;
        $this->code = $production->code;
        $this->name = $production->name;
        $this->kind = $production->kind;
        $this->role = $book->role;
        $this->deliverables = count($book->index);
        $this->unbalanced = $counts[Verdict::Unbalanced->value] ?? 0;
        $this->open = $counts[Verdict::Open->value] ?? 0;
        $this->balanced = $counts[Verdict::Balanced->value] ?? 0;
    }
}
