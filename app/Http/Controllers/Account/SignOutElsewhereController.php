<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\ChangePassword;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SecurityLog;
use App\Security\SessionMark;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Signed out wherever else one is signed in. */
final class SignOutElsewhereController
{
    public function __invoke(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $out = ChangePassword::signOut($user, $request->session()->getId());
        SessionMark::put($request->session(), $user);
        SecurityLog::note('signed out elsewhere', ['account' => $user->id, 'signed_out' => $out]);

        $told = config('session.driver') === 'database'
            ? Phrase::of('You were signed in nowhere else.')
            : Phrase::of('Signed out elsewhere.');

        return back()->with('told', $out === 0 ? $told : Phrase::counted(
            $out,
            ':count place signed out elsewhere.|:count places signed out elsewhere.',
        ));
    }
}
