<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\Account\OneTimeCodes;
use App\Actions\People\ChangeAccount;
use App\Actions\People\Invite;
use App\Http\Requests\People\AccountRequest;
use App\Language\Phrase;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Somebody's account, as whoever runs the installation may change it. */
final class AccountController
{
    /** A link that was just made, which is told once. */
    public const FRESH = 'link';

    public function update(AccountRequest $request, User $user, ChangeAccount $change): RedirectResponse
    {
        $change->run(
            $user,
            $request->has('disabled') ? $request->boolean('disabled') : null,
            $request->has('administrator') ? $request->boolean('administrator') : null,
        );

        return back()->with('told', Phrase::of('Saved.'));
    }

    /** Whoever has lost telephone and recovery codes comes in by the password alone again. */
    public function codes(User $user, OneTimeCodes $codes): RedirectResponse
    {
        $codes->end($user);

        return back()->with('told', Phrase::of(':name is no longer asked for a code.', ['name' => $user->name]));
    }

    public function password(User $user, #[CurrentUser] User $by, Invite $invite): RedirectResponse
    {
        return back()->with(self::FRESH, $invite->password($user, $by))
            ->with('told', Phrase::of('A link for a new password of :name is made.', ['name' => $user->name]));
    }
}
