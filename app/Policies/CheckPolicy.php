<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Check;
use App\Models\User;

final class CheckPolicy
{
    public function view(User $user, Check $check): bool
    {
        return $user->can('view', $check->deliverable);
    }

    /** It is made again, or stopped. */
    public function check(User $user, Check $check): bool
    {
        return $user->can('check', $check->deliverable);
    }

    /** A line of it is accepted as it is. */
    public function waive(User $user, Check $check): bool
    {
        return $user->can('specify', $check->deliverable);
    }
}
