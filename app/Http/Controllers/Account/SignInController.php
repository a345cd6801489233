<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Http\Pages\Account\SignInPage;
use App\Http\Requests\Account\SignInRequest;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SecurityLog;
use App\Security\SessionMark;
use App\Security\SignIn;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Response;

final class SignInController
{
    /** When a session began, in seconds since 1970. */
    public const SINCE = 'signed_in_at';

    public function create(): Response
    {
        return (new SignInPage)->render();
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $email = $request->string('email')->toString();
        $signIn = new SignIn($email, (string) $request->ip());
        if ($signIn->mustWait()) {
            SecurityLog::note('sign-in slowed down');

            return back()->withErrors(
                ['email' => Phrase::of('Too many tries. Wait a minute, then try again.')],
            )->onlyInput('email');
        }
        $user = $signIn->attempt(
            User::query()->where('email', mb_strtolower(trim($email)))->first(),
            $request->string('password')->toString(),
        );
        if ($user === null) {
            return back()->withErrors(['email' => Phrase::of(
                'This address and password do not go together.',
            )])->onlyInput('email');
        }
        if ($user->disabled_at !== null) {
            return back()->withErrors(['email' => Phrase::of('Your account is closed. Ask whoever runs this ledger.')]);
        }
        if ($user->codes_since !== null) {
            return SignInCodeController::ask($request, $user);
        }
        self::enter($request, $user);
        SecurityLog::note('signed in', ['account' => $user->id]);

        return redirect()->intended(route('productions'));
    }

    public static function enter(Request $request, User $user): void
    {
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put(self::SINCE, time());
        SessionMark::put($request->session(), $user);
    }

    public function destroy(Request $request): RedirectResponse
    {
        SecurityLog::note('signed out');
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
