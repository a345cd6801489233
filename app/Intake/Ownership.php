<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Deliverable;
use Illuminate\Database\Eloquent\Collection;
use PlainLedger\Core\Matching\OwnerCandidate;
use PlainLedger\Core\Matching\SceneOwnership;

/** Which of some deliverables a thing belongs to that somebody brings. */
final readonly class Ownership
{
    /** @param  Collection<int, Deliverable>  $deliverables  with their owners */
    public static function among(Collection $deliverables): SceneOwnership
    {
        return new SceneOwnership(array_values($deliverables->map(
            static fn (Deliverable $d): OwnerCandidate => new OwnerCandidate(
                $d->id,
                $d->code,
                $d->owner?->handle,
                $d->owner?->name,
            ),
        )->all()));
    }
}
