<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Message;
use App\Models\User;

final class MessagePolicy
{
    public function decide(User $user, Message $message): bool
    {
        return $user->can('decide', $message->production);
    }
}
