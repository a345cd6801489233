<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\FollowInvitation;
use App\Http\Controllers\Account\SignInCodeController;
use App\Http\Controllers\Account\SignInController;
use App\Http\Pages\People\JoinPage;
use App\Http\Requests\People\JoinRequest;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** Whoever comes by a link: with an account or without one. */
final class JoinController
{
    public function show(Request $request, string $word): Response
    {
        $reader = $request->user();

        return (new JoinPage(Invitation::of($word), $word, $reader instanceof User ? $reader : null))->render();
    }

    public function store(JoinRequest $request, string $word, FollowInvitation $follow): RedirectResponse
    {
        $invitation = Invitation::of($word) ?? abort(404);
        $password = $request->string('password')->toString();
        $user = $invitation->kind === InvitationKind::Password
            ? $follow->withPassword($invitation, $password, $request->session()->getId())
            : $follow->asNew(
                $invitation,
                trim($request->string('name')->toString()),
                $request->string('email')->toString(),
                $password,
            );
        if ($user->disabled_at !== null) {
            return redirect()->route('sign-in');
        }
        // a link for a password is no one-time code
        if ($user->codes_since !== null) {
            return SignInCodeController::ask($request, $user);
        }
        SignInController::enter($request, $user);

        return self::onwards($invitation, $user);
    }

    /** Somebody who has an account already, and is signed in. */
    public function update(Request $request, string $word, FollowInvitation $follow): RedirectResponse
    {
        $invitation = Invitation::of($word) ?? abort(404);
        $reader = $request->user();
        abort_if(! $reader instanceof User || $invitation->kind === InvitationKind::Password, 404);

        return self::onwards($invitation, $follow->asKnown($invitation, $reader));
    }

    private static function onwards(Invitation $invitation, User $user): RedirectResponse
    {
        $told = $invitation->production === null
            ? "Welcome, {$user->name}."
            : "Welcome to {$invitation->production->name}, {$user->name}.";

        return ($invitation->production_id === null
            ? redirect()->route('productions')
            : redirect()->route('production', $invitation->production_id))->with('told', $told);
    }
}
