<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\RenderLog;
use App\Models\User;

final class RenderLogPolicy
{
    public function view(User $user, RenderLog $renderLog): bool
    {
        return $user->can('view', $renderLog->deliverable);
    }

    public function check(User $user, RenderLog $renderLog): bool
    {
        return $user->can('check', $renderLog->deliverable);
    }
}
