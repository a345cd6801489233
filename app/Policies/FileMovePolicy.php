<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\FileMove;
use App\Models\User;

final class FileMovePolicy
{
    public function undo(User $user, FileMove $move): bool
    {
        return $user->can('check', $move->deliverable);
    }
}
