<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\ChangePassword;
use App\Http\Requests\Account\PasswordRequest;
use App\Models\User;
use App\Security\SessionMark;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use PlainLedger\Core\Text\Text;

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
            'Your password is changed.'.($out === 0 ? '' : ' Signed out elsewhere: '.Text::count($out, 'place').'.'),
        );
    }
}
