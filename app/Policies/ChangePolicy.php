<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Change;
use App\Models\User;

final class ChangePolicy
{
    /** What all deliverables share is taken back by those who decide for the production. */
    public function turn(User $user, Change $change): bool
    {
        return $change->deliverable === null
            ? $user->can('decide', $change->production)
            : $user->can('specify', $change->deliverable);
    }
}
