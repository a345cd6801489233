<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Account\ChangePassword;
use App\Audit\Trail;
use App\Language\Phrase;
use App\Models\About;
use App\Models\Invitation;
use App\Models\InvitationKind;
use App\Models\Membership;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** What a link is for comes about, once. */
final readonly class FollowInvitation
{
    public function __construct(
        private AddPerson $addPerson,
        private GiveRole $giveRole,
        private ChangePassword $changePassword,
    ) {}

    /** @throws PeopleRefused where somebody has followed it meanwhile, or it is for others */
    public function asNew(Invitation $invitation, string $name, string $email, string $password): User
    {
        return $this->once($invitation, function (Invitation $open) use ($name, $email, $password): User {
            if (User::query()->where('email', mb_strtolower(trim($email)))->exists()) {
                throw PeopleRefused::because(Phrase::of(
                    'Somebody with that address is here already. Sign in, then open the link once more.',
                ));
            }
            $isAdministrator = $open->kind === InvitationKind::Administrator;

            return $this->give($open, $this->addPerson->run($name, $email, $password, $isAdministrator));
        });
    }

    /** @throws PeopleRefused */
    public function asKnown(Invitation $invitation, User $user): User
    {
        return $this->once($invitation, function (Invitation $open) use ($user): User {
            if ($open->kind === InvitationKind::Administrator) {
                $user->is_administrator = true;
                $user->save();
            }

            return $this->give($open, $user);
        });
    }

    /** @throws PeopleRefused */
    public function withPassword(Invitation $invitation, string $password, string $session): User
    {
        return $this->once($invitation, function (Invitation $open) use ($password, $session): User {
            $user = $open->user ?? throw PeopleRefused::because(Phrase::of('This link no longer holds.'));
            $this->changePassword->run($user, $password, $session);

            return $user;
        });
    }

    private function give(Invitation $invitation, User $user): User
    {
        $production = $invitation->production;
        if ($production !== null && $invitation->role !== null) {
            // a link makes nobody less than they are
            $isMore = $user->roleIn($production->id)?->decides() === true && ! $invitation->role->decides();
            $isMore ? null : $this->giveRole->run($production, $user, $invitation->role);
            self::keepNumber($invitation, $user);
        }

        return $user;
    }

    /** What another system calls them, where nobody else is called so. */
    private static function keepNumber(Invitation $invitation, User $user): void
    {
        $members = Membership::query()->where('production_id', $invitation->production_id);
        $number = $invitation->number;
        if ($number !== null && (clone $members)->where('number', $number)->doesntExist()) {
            $members->where('user_id', $user->id)->first()?->update(['number' => $number]);
        }
    }

    /**
     * @param  \Closure(Invitation): User  $work
     *
     * @throws PeopleRefused
     */
    private function once(Invitation $invitation, \Closure $work): User
    {
        return DB::transaction(function () use ($invitation, $work): User {
            $taken = Invitation::query()->whereKey($invitation->id)->whereNull('used_at')
                ->where('expires_at', '>', Carbon::now())
                ->update(['used_at' => Carbon::now(), 'link' => null]);
            if ($taken !== 1) {
                throw PeopleRefused::because(Phrase::of(
                    'This link was used already, or its days are over. Ask for another.',
                ));
            }
            $user = $work($invitation);
            $told = "came in by a link ({$invitation->kind->value})";
            Trail::note(About::People, $told, $invitation->production_id, $user);
            SecurityLog::note('link followed', ['invitation' => $invitation->id, 'account' => $user->id]);

            return $user;
        }, 5);
    }
}
