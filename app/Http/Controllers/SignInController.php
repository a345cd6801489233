<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Inertia\Inertia;
use Inertia\Response;

final class SignInController
{
    public function show(): Response
    {
        return Inertia::render('SignIn', ['demo' => (bool) config('ledger.demo')]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']], ['required' => 'This is needed.']);
        // wrong tries in a minute: five for one name from one address, thirty from one address whatever the name
        $keys = ['sign-in:'.strtolower($given['email']).'|'.$request->ip() => 5, 'sign-in:'.$request->ip() => 30];
        foreach ($keys as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                return back()->withErrors(['email' => 'Too many tries. Wait a minute, then try again.'])->onlyInput('email');
            }
        }
        if (! Auth::attempt($given)) {
            foreach (array_keys($keys) as $key) {
                RateLimiter::hit($key);
            }

            return back()->withErrors(['email' => 'This address and password do not go together.'])->onlyInput('email');
        }
        RateLimiter::clear((string) array_key_first($keys));
        $request->session()->regenerate();

        return redirect()->intended(route('productions'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
