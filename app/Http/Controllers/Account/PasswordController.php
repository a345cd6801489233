<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\ChangePassword;
use App\Http\Requests\Account\PasswordRequest;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SessionMark;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class PasswordController
{
    public function update(PasswordRequest $request, #[CurrentUser] User $by, ChangePassword $change): RedirectResponse
    {
        $session = $request->session();
        $out = $change->run($by, $request->string('password')->toString(), $session->getId());
        SessionMark::put($session, $by);
        $session->regenerate();

        return redirect()->route('tokens')->with(
            'told',
            Phrase::of('Your password is changed.')
                .($out === 0 ? '' : ' '.self::elsewhere($out)),
        );
    }

    private static function elsewhere(int $places): string
    {
        return Phrase::counted(
            $places,
            ':count place signed out elsewhere.|:count places signed out elsewhere.',
        );
    }
}
