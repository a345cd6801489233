<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\User;

final class HandInPolicy
{
    /** Whoever marks; and who answers for it, once points are told or it was returned. */
    public function view(User $user, HandIn $handIn): bool
    {
        $deliverable = $handIn->deliverable;
        if ($user->can('specify', $deliverable)) {
            return true;
        }
        $isTold = $handIn->returned_at !== null
            || Assignment::of($deliverable->specification)->released_at !== null;

        return $isTold && $user->can('view', $deliverable);
    }

    public function mark(User $user, HandIn $handIn): bool
    {
        return $user->can('specify', $handIn->deliverable);
    }
}
