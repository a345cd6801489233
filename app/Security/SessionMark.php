<?php

declare(strict_types=1);

namespace App\Security;

use App\Models\User;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Str;

/**
 * What all sessions of a person have in common until they are signed out everywhere: a session with another mark has
 * ended, wherever sessions are kept.
 */
final readonly class SessionMark
{
    private const KEY = 'session_mark';

    /** A session that begins, or goes on where the others end. */
    public static function put(Session $session, User $user): void
    {
        $session->put(self::KEY, $user->session_mark);
    }

    public static function holds(Session $session, User $user): bool
    {
        return $session->get(self::KEY) === $user->session_mark;
    }

    /** From now on none of the sessions that there are holds any more. */
    public static function renew(User $user): void
    {
        $user->forceFill(['session_mark' => Str::random(32)])->saveQuietly();
    }
}
