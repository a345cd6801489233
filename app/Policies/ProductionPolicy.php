<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Production;
use App\Models\User;

final class ProductionPolicy
{
    public function view(User $user, Production $production): bool
    {
        return $user->roleIn($production->id) !== null;
    }

    /** Everything in it is seen, and what is asked is decided. */
    public function decide(User $user, Production $production): bool
    {
        return $user->roleIn($production->id)?->decides() ?? false;
    }

    /** It goes out of the way, or comes back. */
    public function archive(User $user, Production $production): bool
    {
        return $user->is_administrator || $this->decide($user, $production);
    }
}
