<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\SavedView;
use App\Models\User;

final class SavedViewPolicy
{
    /** Whose it is, and nobody else's. */
    public function drop(User $user, SavedView $view): bool
    {
        return $view->user_id === $user->id;
    }
}
