<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\OneTimeCodes;
use App\Http\Pages\Account\SignInCodePage;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Inertia\Response;

/** The second half of signing in, for whoever has one-time codes. */
final class SignInCodeController
{
    /** Who has told the right password, and until when that holds. */
    public const HALF = 'half_signed_in';

    private const MINUTES = 10;

    /** Tries of one account in a quarter of an hour, from wherever: a million codes cannot be gone through. */
    private const TRIES = 8;

    public static function ask(Request $request, User $user): RedirectResponse
    {
        $request->session()->regenerate();
        $request->session()->put(self::HALF, ['user' => $user->id, 'until' => time() + 60 * self::MINUTES]);

        return redirect()->route('sign-in.code');
    }

    public function show(Request $request): Response|RedirectResponse
    {
        return self::half($request) === null
            ? redirect()->route('sign-in')
            : (new SignInCodePage)->render();
    }

    public function store(Request $request, OneTimeCodes $codes): RedirectResponse
    {
        $user = self::half($request);
        if ($user === null) {
            return redirect()->route('sign-in')->withErrors(['email' => Phrase::of(
                'That took too long. Sign in once more.',
            )]);
        }
        $typed = $request->input('code');
        $key = "sign-in-code:{$user->id}";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            return back()->withErrors(['code' => Phrase::of(
                'Too many tries. Wait a quarter of an hour, then try again.',
            )]);
        }
        RateLimiter::hit($key, 900);
        if (! is_string($typed) || ! $codes->use($user, mb_substr($typed, 0, 40))) {
            SecurityLog::note('one-time code refused', ['account' => $user->id]);

            return back()->withErrors(['code' => Phrase::of('That code does not hold now. Each is used once.')]);
        }
        RateLimiter::clear($key);
        $request->session()->forget(self::HALF);
        SignInController::enter($request, $user);
        SecurityLog::note('signed in', ['account' => $user->id]);

        return redirect()->intended(route('productions'));
    }

    private static function half(Request $request): ?User
    {
        $half = $request->session()->get(self::HALF);
        $user = is_array($half) && $half['until'] >= time() ? User::query()->whereKey($half['user'])->first() : null;

        return $user?->disabled_at === null && $user?->codes_since !== null ? $user : null;
    }
}
