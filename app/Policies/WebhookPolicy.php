<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Webhook;

final class WebhookPolicy
{
    public function decide(User $user, Webhook $webhook): bool
    {
        return $user->can('decide', $webhook->production);
    }
}
