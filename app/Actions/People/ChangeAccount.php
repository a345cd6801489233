<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Account\ChangePassword;
use App\Language\Phrase;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Whether somebody gets in, and whether they run the installation. One who does is always left. */
final readonly class ChangeAccount
{
    /** @throws PeopleRefused where nobody would be left who runs it */
    public function run(User $person, ?bool $disabled, ?bool $administrator): void
    {
        DB::transaction(function () use ($person, $disabled, $administrator): void {
            if ($disabled === true || $administrator === false) {
                self::keepAdministrator($person);
            }
            $person->is_administrator = $administrator ?? $person->is_administrator;
            if ($disabled !== null) {
                $person->disabled_at = $disabled ? Carbon::now() : null;
            }
            $person->save();
        });
        if ($disabled === true) {
            ChangePassword::signOut($person, '');
        }
        SecurityLog::note('account changed', [
            'account' => $person->id, 'disabled' => (int) ($person->disabled_at !== null),
            'administrator' => (int) $person->is_administrator,
        ]);
    }

    private static function keepAdministrator(User $person): void
    {
        $others = User::query()->whereKeyNot($person->id)->where('is_administrator', true)->whereNull('disabled_at');
        if ($person->is_administrator && $person->disabled_at === null && ! $others->exists()) {
            throw PeopleRefused::because(Phrase::of(
                'Somebody has to run this ledger: make another an administrator first.',
            ));
        }
    }
}
