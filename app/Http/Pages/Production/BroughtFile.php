<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use PlainLedger\Core\Matching\OwnerCandidate;
use PlainLedger\Core\Matching\SceneOwnership;
use PlainLedger\Core\Recognition\Brought;
use PlainLedger\Core\Recognition\BroughtKind;

/** What a file is that somebody dropped, and whose it seems to be. */
final readonly class BroughtFile
{
    private const MOST_PERHAPS = 20;

    public BroughtKind $kind;

    public string $says;

    public ?int $deliverable;

    /** @var list<int> deliverables that it could be of */
    public array $perhaps;

    /** @var list<array{name: string, email: string}> of a list of people */
    public array $people;

    public function __construct(Brought $brought, SceneOwnership $owners)
    {
        $found = array_map(static fn (OwnerCandidate $o): int => $o->id, $owners->of($brought->whose));
        $this->kind = $brought->kind;
        $this->says = $brought->says;
        $this->people = $brought->people;
        $this->deliverable = count($found) === 1 ? $found[0] : null;
        $this->perhaps = count($found) > 1 ? array_slice($found, 0, self::MOST_PERHAPS) : [];
    }
}
