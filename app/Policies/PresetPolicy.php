<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Preset;
use App\Models\User;

final class PresetPolicy
{
    public function decide(User $user, Preset $preset): bool
    {
        return $user->can('decide', $preset->production);
    }
}
