<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Security\SecurityLog;
use App\Security\SignIn;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

final class SignInController
{
    /** When a session began, in seconds since 1970. */
    public const SINCE = 'signed_in_at';

    public function show(): Response
    {
        return Inertia::render('SignIn', ['demo' => (bool) config('ledger.demo')]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']],
            ['required' => 'This is needed.'],
        );
        $signIn = new SignIn($given['email'], (string) $request->ip());
        if ($signIn->mustWait()) {
            SecurityLog::note('sign-in slowed down');

            return back()->withErrors(
                ['email' => 'Too many tries. Wait a minute, then try again.'],
            )->onlyInput('email');
        }
        $user = $signIn->attempt(
            User::query()->where('email', mb_strtolower(trim($given['email'])))->first(),
            $given['password'],
        );
        if ($user === null) {
            return back()->withErrors(['email' => 'This address and password do not go together.'])->onlyInput('email');
        }
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put(self::SINCE, time());
        SecurityLog::note('signed in', ['account' => $user->id]);

        return redirect()->intended(route('productions'));
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
