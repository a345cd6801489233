<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\GiveRole;
use App\Actions\People\Invite;
use App\Http\Pages\People\PeoplePage;
use App\Http\Requests\People\InvitationRequest;
use App\Http\Requests\People\RoleRequest;
use App\Language\Phrase;
use App\Models\Membership;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** Who belongs to a production, and as what. */
final class PeopleController
{
    /** Links that were just made, which are told once. */
    private const FRESH = 'links';

    public function show(Request $request, #[CurrentUser] User $reader, Production $production): Response
    {
        $fresh = $request->session()->get(self::FRESH);

        return (new PeoplePage($production, $reader, is_array($fresh) ? array_values($fresh) : []))->render();
    }

    public function store(
        InvitationRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        Invite $invite,
    ): RedirectResponse {
        $new = array_values(array_filter(
            $request->people(),
            static fn (array $each): bool => ! self::isHere($production, $each['email'], $each['number']),
        ));
        $links = array_map(static fn (array $each): array => [
            'name' => $each['name'], 'email' => $each['email'],
            'link' => $invite->member($production, $request->role(), $each, $by),
        ], $new);

        return redirect()->route('people', $production->id)->with(self::FRESH, $links)
            ->with('told', Phrase::counted(
                count($links),
                ':count link made. Send it to whom it is for.|:count links made. Send each to whom it is for.',
            ));
    }

    /** Who is here already gets no link; what another system calls them is kept. */
    private static function isHere(Production $production, string $email, string $number): bool
    {
        $member = $email === '' ? null : $production->memberships()
            ->whereHas('user', static fn ($q) => $q->where('email', mb_strtolower($email)))->first();
        $isTaken = $production->memberships()->where('number', $number)->exists();
        if ($member !== null && $number !== '' && ! $isTaken) {
            $member->update(['number' => $number]);
        }

        return $member !== null;
    }

    public function update(
        RoleRequest $request,
        Production $production,
        Membership $membership,
        GiveRole $giveRole,
    ): RedirectResponse {
        $giveRole->run($production, $membership->user, $request->role());

        return back()->with('told', Phrase::of(
            ':name is :value now.',
            ['name' => $membership->user->name, 'value' => $request->role()->value],
        ));
    }

    public function destroy(Production $production, Membership $membership, GiveRole $giveRole): RedirectResponse
    {
        $giveRole->takeOff($production, $membership->user);

        return back()->with('told', Phrase::of(
            ':name is no longer in this production.',
            ['name' => $membership->user->name],
        ));
    }
}
