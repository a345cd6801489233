<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Models\Membership;
use App\Models\Production;
use PlainLedger\Core\Course\Roster;
use PlainLedger\Core\Course\RosterPerson;

/** Who stands on a roster, and who of them is here already. */
final readonly class RosterRead
{
    /** @var list<array{name: string, email: string, number: string, teaches: bool, isHere: bool}> */
    public array $people;

    /** @var list<array{id: string, title: string, people: int}> */
    public array $classes;

    /** @var list<string> what was left out, and why */
    public array $notes;

    public function __construct(Production $production, Roster $roster)
    {
        $here = $production->memberships()->with('user')->get()
            ->map(static fn (Membership $m): string => mb_strtolower($m->user->email))->flip();
        $this->people = array_map(static fn (RosterPerson $p): array => [
            'name' => $p->name, 'email' => $p->email, 'number' => $p->number, 'teaches' => $p->teaches,
            'isHere' => $here->has(mb_strtolower($p->email)),
        ], $roster->people);
        $this->classes = $roster->classes;
        $this->notes = $roster->notes;
    }
}
