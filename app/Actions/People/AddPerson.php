<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Support\Str;

/** Somebody who was not known. */
final readonly class AddPerson
{
    public function run(string $name, string $email, string $password, bool $isAdministrator = false): User
    {
        $person = new User([
            'name' => $name, 'email' => mb_strtolower(trim($email)), 'password' => $password,
            'handle' => self::handleFor($name),
        ]);
        // never from a form
        $person->is_administrator = $isAdministrator;
        $person->save();

        return $person;
    }

    /** What stands for `{learner}` in names: short, and nobody else's. */
    private static function handleFor(string $name): string
    {
        $base = Str::substr(Str::slug(Str::before($name, ' '), '_'), 0, 50) ?: 'person';
        $handle = $base;
        for ($n = 2; User::query()->where('handle', $handle)->exists(); $n++) {
            $handle = "{$base}_{$n}";
        }

        return $handle;
    }
}
