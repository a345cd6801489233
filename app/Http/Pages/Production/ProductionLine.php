<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

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

    public bool $archived;

    public function __construct(Production $production, User $reader)
    {
        $counts = $production->deliverablesFor($reader)->besideNewest()->toBase()
            ->groupBy('newest.verdict')->selectRaw('newest.verdict, count(*) as number')
            ->pluck('number', 'verdict');
        $this->id = $production->id;
        $this->code = $production->code;
        $this->name = $production->name;
        $this->kind = $production->kind;
        $this->role = $reader->roleIn($production->id);
        $this->archived = $production->archived_at !== null;
        $this->deliverables = $counts->sum();
        $this->unbalanced = (int) $counts->get(Verdict::Unbalanced->value, 0);
        $this->open = (int) $counts->get(Verdict::Open->value, 0);
        $this->balanced = (int) $counts->get(Verdict::Balanced->value, 0);
    }
}
