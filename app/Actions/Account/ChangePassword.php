<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\User;
use App\Security\SecurityLog;
use App\Security\SessionMark;
use Illuminate\Support\Facades\DB;

/** A new password of one's own; whoever is signed in elsewhere with the old one is signed out. */
final readonly class ChangePassword
{
    /**
     * @param  string  $session  in which it is changed, which goes on
     * @return int how many other places were signed out
     */
    public function run(User $user, string $password, string $session): int
    {
        $user->update(['password' => $password]);
        $out = self::signOut($user, $session);
        SecurityLog::note('password changed', ['account' => $user->id, 'signed_out' => $out]);

        return $out;
    }

    /**
     * Everywhere but in one session, which is to be given the new mark.
     *
     * @return int in how many places, as far as that can be told of where sessions are kept
     */
    public static function signOut(User $user, string $session): int
    {
        SessionMark::renew($user);

        $isDatabase = config('database.connections.'.(string) config('session.connection')) !== null;

        return ! $isDatabase ? 0 : DB::connection((string) config('session.connection'))
            ->table((string) config('session.table'))
            ->where('user_id', $user->id)
            ->where('id', '!=', $session)
            ->delete();
    }
}
