<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
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
        if (! Auth::attempt($given)) {
            return back()->withErrors(['email' => 'This address and password do not go together.'])->onlyInput('email');
        }
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
