<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use App\Security\PasswordRule;
use App\Security\SecurityLog;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use PlainLedger\Core\Text\PlainSentence;

/** A first production and whoever coordinates it; run again, it adds another person or production. */
final class Begin extends Command
{
    protected $signature = 'ledger:begin
        {--name= : of the person} {--email= : their sign-in} {--password= : asked for where it is not given}
        {--production= : its name} {--code= : its short code}
        {--kind=film : film, series, commission or course}
        {--role=coordinator : coordinator, instructor, artist or learner}';

    protected $description = 'Adds a person to a production, and makes either where it is not there yet';

    public function handle(): int
    {
        $given = fn (string $option, string $question): string => trim(
            (string) ($this->option($option) ?? $this->ask($question)),
        );
        $role = Role::tryFrom((string) $this->option('role'));
        $kind = (string) $this->option('kind');
        if ($role === null || ! in_array($kind, ['film', 'series', 'commission', 'course'], true)) {
            $this->error(
                'A role is coordinator, instructor, artist or learner; a kind is film, series, commission or course.',
            );

            return self::INVALID;
        }
        [$email, $code] = [
            strtolower($given('email', 'Sign-in address of the person')),
            $given('code', 'Short code of the production, like TC'),
        ];
        if (! str_contains($email, '@') || preg_match('~^(?=.*[A-Za-z0-9])[A-Za-z0-9_-]{1,40}$~', $code) !== 1) {
            $this->error(
                'An address has an @; a code has letters, digits, dashes and underscores, and one letter or digit '
                    .'at least.',
            );

            return self::INVALID;
        }
        $user = User::query()->where('email', $email)->first();
        $name = $user === null ? $given('name', 'Name of the person') : $user->name;
        $password = $user === null
            ? (string) ($this->option('password') ?? $this->secret('Password, at least twelve letters'))
            : '';
        $weak = $user === null ? PasswordRule::refuses($password, $name, $email) : null;
        if ($user === null && ($name === '' || $weak !== null)) {
            $this->error($name === '' ? 'A person needs a name.' : (string) $weak);

            return self::INVALID;
        }
        $production = Production::byCode($code);
        $title = $production === null ? $given('production', 'Name of the production') : $production->name;
        try {
            $this->add($user, $name, $email, $password, $production, $title, $code, $kind, $role);
        } catch (PlainSentence $refused) {
            $this->error($refused->getMessage().' Take another code.');

            return self::INVALID;
        }
        $this->info(
            "{$name} is {$role->value} of “{$title}”. Files are handed in below "
                .config('ledger.intake')
                .'/'
                .Str::slug($code, '_')
                .'.',
        );

        return self::SUCCESS;
    }

    private function add(
        ?User $user,
        string $name,
        string $email,
        string $password,
        ?Production $production,
        string $title,
        string $code,
        string $kind,
        Role $role,
    ): void {
        DB::transaction(
            function () use ($user, $name, $email, $password, $production, $title, $code, $kind, $role): void {
                $user ??= User::query()->create(
                    ['name' => $name, 'email' => $email, 'password' => $password, 'handle' => $this->handleFor($name)],
                );
                if ($production === null) {
                    $production = Production::query()->create(
                        [
                            'code' => $code,
                            'name' => $title === '' ? $code : $title,
                            'kind' => $kind,
                            'house' => ['require' => []],
                        ],
                    );
                    $path = Str::slug($code, '_').'/'.($kind === 'course' ? '{learner}' : '{shot}');
                    $production->intakeRoots()->create(['label' => 'Intake', 'path' => $path]);
                    File::ensureDirectoryExists((string) config('ledger.intake').'/'.dirname($path));
                }
                $production->memberships()->updateOrCreate(['user_id' => $user->id], ['role' => $role]);
                SecurityLog::note(
                    'role given',
                    ['account' => $user->id, 'production' => $production->id, 'role' => $role->value],
                );
            },
        );
    }

    private function handleFor(string $name): string
    {
        $base = Str::slug(Str::before($name, ' '), '_') ?: 'person';
        $handle = $base;
        for ($n = 2; User::query()->where('handle', $handle)->exists(); $n++) {
            $handle = "{$base}_{$n}";
        }

        return $handle;
    }
}
