<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Specification;
use App\Models\User;

final class SpecificationPolicy
{
    public function decide(User $user, Specification $specification): bool
    {
        return $user->can('decide', $specification->production);
    }
}
