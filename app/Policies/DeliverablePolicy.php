<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Deliverable;
use App\Models\User;

final class DeliverablePolicy
{
    /** A coordinator sees all of a production; an artist what is theirs, alone or with others. */
    public function view(User $user, Deliverable $deliverable): bool
    {
        $role = $user->roleIn($deliverable->production_id);

        return $role !== null && ($role->decides() || $deliverable->isOwedBy($user));
    }

    public function check(User $user, Deliverable $deliverable): bool
    {
        return $this->view($user, $deliverable);
    }

    public function specify(User $user, Deliverable $deliverable): bool
    {
        return $user->roleIn($deliverable->production_id)?->decides() ?? false;
    }
}
