<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\OneTimeCodes;
use App\Language\Phrase;
use App\Models\User;
use App\Security\OneTimeCode;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** One's own one-time codes: begun, and ended. */
final class OneTimeCodeController
{
    /** A secret that no code has been told of yet. */
    public const OFFERED = 'offered_secret';

    public const FRESH = 'recovery_codes';

    /** Offers a secret. */
    public function create(Request $request): RedirectResponse
    {
        $request->session()->put(self::OFFERED, OneTimeCode::newSecret());

        return redirect()->route('tokens');
    }

    public function store(Request $request, #[CurrentUser] User $by, OneTimeCodes $codes): RedirectResponse
    {
        $secret = $request->session()->get(self::OFFERED);
        $typed = $request->input('code');
        $fresh = is_string($secret) && is_string($typed) ? $codes->begin($by, $secret, mb_substr($typed, 0, 40)) : null;
        if ($fresh === null) {
            throw ValidationException::withMessages(['code' => Phrase::of(
                'That is not the code of now. Is the clock right?',
            )]);
        }
        $request->session()->forget(self::OFFERED);

        return redirect()->route('tokens')->with(self::FRESH, $fresh)
            ->with('told', Phrase::of('From now on a code is asked for when you sign in.'));
    }

    public function destroy(Request $request, #[CurrentUser] User $by, OneTimeCodes $codes): RedirectResponse
    {
        $request->session()->forget(self::OFFERED);
        if ($by->codes_since === null) {
            return redirect()->route('tokens');
        }
        $password = $request->input('password');
        if (! is_string($password) || ! Hash::check($password, $by->password)) {
            throw ValidationException::withMessages(['ends' => Phrase::of('That is not your password.')]);
        }
        $codes->end($by);

        return redirect()->route('tokens')->with('told', Phrase::of('You are no longer asked for a code.'));
    }
}
