<?php

declare(strict_types=1);

namespace App\Http\Pages\Book;

use App\Models\PracticeExercise;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;

/** A production that is open, and what one person is in it. */
final readonly class Book
{
    /** @var array{id: int, code: string, name: string, kind: string, archived: bool} */
    public array $production;

    public ?Role $role;

    public bool $decides;

    /** How many deliverables the reader may see in it: its index is asked for apart. */
    public int $owed;

    /** How much is set to practise on. */
    public int $practice;

    public function __construct(Production $production, User $reader)
    {
        $this->production = [
            'id' => $production->id,
            'code' => $production->code,
            'name' => $production->name,
            'kind' => $production->kind,
            'archived' => $production->archived_at !== null,
        ];
        $this->role = $reader->roleIn($production->id);
        $this->decides = $this->role?->decides() ?? false;
        $this->practice = PracticeExercise::query()->where('production_id', $production->id)->count();
        $this->owed = $production->deliverablesFor($reader)->count();
    }
}
