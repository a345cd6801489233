<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Waiver;

final class WaiverPolicy
{
    public function decide(User $user, Waiver $waiver): bool
    {
        return $user->can('decide', $waiver->production);
    }
}
