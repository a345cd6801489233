<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\User;
use App\Security\SecurityLog;
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
     * Everywhere but in one session.
     *
     * @return int in how many places
     */
    public static function signOut(User $user, string $session): int
    {
        return DB::connection((string) config('session.connection'))
            ->table((string) config('session.table'))
            ->where('user_id', $user->id)
            ->where('id', '!=', $session)
            ->delete();
    }
}
