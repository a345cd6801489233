<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Controllers\Account\SignInController;
use App\Models\User;
use App\Security\SecurityLog;
use App\Security\SessionMark;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** However busy a session is kept, after some hours one signs in anew; whoever was disabled is out at once. */
final class EndOldSessions
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && $request->user() instanceof User) {
            if ($request->user()->disabled_at !== null) {
                return $this->end($request, 'Your account is closed. Ask whoever runs this ledger.');
            }
            $since = $request->session()->get(SignInController::SINCE);
            if (! is_int($since)) {
                $request->session()->put(SignInController::SINCE, time());
                SessionMark::put($request->session(), $request->user());
            } elseif (! SessionMark::holds($request->session(), $request->user())) {
                return $this->end($request, 'You were signed out from elsewhere. Sign in to go on.');
            } elseif (time() - $since > (int) config('session.longest') * 60) {
                SecurityLog::note('session ended by its age');

                return $this->end($request, 'You were signed in for long. Sign in once more to go on.');
            }
        }

        return $next($request);
    }

    private function end(Request $request, string $why): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in')->withErrors(['email' => $why]);
    }
}
