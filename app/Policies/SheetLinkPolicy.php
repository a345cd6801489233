<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\SheetLink;
use App\Models\User;

final class SheetLinkPolicy
{
    public function specify(User $user, SheetLink $sheetLink): bool
    {
        return $user->can('specify', $sheetLink->deliverable);
    }
}
