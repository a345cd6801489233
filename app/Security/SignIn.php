<?php

declare(strict_types=1);

namespace App\Security;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Tries of addresses and passwords. A name that is not known takes as long as one that is. Wrong tries are counted by
 * account and place together, by place, and by account: but where somebody has signed in to an account before, from
 * there it stays open to the right password, however many others guess from the same place.
 */
final readonly class SignIn
{
    private const MINUTE = 60;

    /** Wrong tries in a minute: of one account from one place, and of all from one place. */
    private const OF_BOTH = 5;

    private const OF_PLACE = 30;

    /** Wrong tries of one account in an hour from everywhere, after which each place has one in a minute. */
    private const OF_ACCOUNT = 60;

    private const KNOWN_FOR = 60 * 86_400;

    private string $account;

    public function __construct(string $email, private string $place)
    {
        $this->account = hash('sha256', mb_strtolower(trim($email)));
    }

    public function mustWait(): bool
    {
        $known = Cache::has($this->known());
        if (RateLimiter::tooManyAttempts($this->both(), self::OF_BOTH)) {
            return true;
        }
        if ($known) {
            return false;
        }

        return RateLimiter::tooManyAttempts($this->ofPlace(), self::OF_PLACE)
            || (
                RateLimiter::tooManyAttempts($this->ofAccount(), self::OF_ACCOUNT)
                && RateLimiter::tooManyAttempts($this->both(), 1)
            );
    }

    /** Who it is; null where the two do not go together. */
    public function attempt(?User $user, string $password): ?User
    {
        $right = Hash::check($password, $user->password ?? self::ofNobody());
        if (! $right || $user === null) {
            RateLimiter::hit($this->both(), self::MINUTE);
            RateLimiter::hit($this->ofPlace(), self::MINUTE);
            RateLimiter::hit($this->ofAccount(), 60 * self::MINUTE);
            SecurityLog::note('sign-in refused', ['account' => $user?->id]);

            return null;
        }
        RateLimiter::clear($this->both());
        Cache::put($this->known(), true, self::KNOWN_FOR);
        if (Hash::needsRehash($user->password)) {
            $user->update(['password' => $password]);
        }

        return $user;
    }

    /** A hash that no password has, made as any other is. */
    private static function ofNobody(): string
    {
        $made = Cache::get('hash-of-nobody');
        if (! is_string($made) || Hash::needsRehash($made)) {
            $made = Hash::make(bin2hex(random_bytes(32)));
            Cache::forever('hash-of-nobody', $made);
        }

        return $made;
    }

    private function both(): string
    {
        return "sign-in:{$this->account}:{$this->place}";
    }

    private function ofPlace(): string
    {
        return "sign-in:{$this->place}";
    }

    private function ofAccount(): string
    {
        return "sign-in:{$this->account}";
    }

    private function known(): string
    {
        return "signed-in-before:{$this->account}:{$this->place}";
    }
}
