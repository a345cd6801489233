<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Language\Phrase;
use App\Models\Membership;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Support\Facades\DB;

/** What somebody is in a production; or that they are nothing in it any more. */
final readonly class GiveRole
{
    /** @throws PeopleRefused where nobody would be left who decides */
    public function run(Production $production, User $user, Role $role): void
    {
        DB::transaction(function () use ($production, $user, $role): void {
            if (! $role->decides()) {
                self::keepDecider($production, $user);
            }
            $production->memberships()->updateOrCreate(['user_id' => $user->id], ['role' => $role]);
        });
        SecurityLog::note(
            'role given',
            ['account' => $user->id, 'production' => $production->id, 'role' => $role->value],
        );
    }

    /** @throws PeopleRefused where nobody would be left who decides */
    public function takeOff(Production $production, User $user): void
    {
        DB::transaction(function () use ($production, $user): void {
            self::keepDecider($production, $user);
            // one by one, so that it is told in the history
            $production->memberships()->where('user_id', $user->id)->get()->each->delete();
        });
        SecurityLog::note('taken off', ['account' => $user->id, 'production' => $production->id]);
    }

    private static function keepDecider(Production $production, User $user): void
    {
        $others = $production->memberships()->where('user_id', '!=', $user->id)->get();
        $isOne = $production->memberships()->where('user_id', $user->id)->first()?->role->decides() === true;
        if ($isOne && $others->filter(static fn (Membership $m): bool => $m->role->decides())->isEmpty()) {
            throw PeopleRefused::because(Phrase::of('Somebody has to decide here: give another that role first.'));
        }
    }
}
