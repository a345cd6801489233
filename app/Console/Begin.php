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
        try {
            [$role, $kind] = $this->roleAndKind();
            [$email, $code] = $this->addressAndCode();
            $user = User::query()->where('email', $email)->first();
            [$name, $password] = $user === null ? $this->newPerson($email) : [$user->name, ''];
            $production = Production::byCode($code);
            $title = $production->name ?? $this->given('production', 'Name of the production');
            DB::transaction(fn () => $this->giveRole(
                $user ?? $this->addPerson($name, $email, $password),
                $production ?? $this->addProduction($code, $title, $kind),
                $role,
            ));
        } catch (\InvalidArgumentException $invalid) {
            $this->error($invalid->getMessage());

            return self::INVALID;
        } catch (PlainSentence $refused) {
            $this->error($refused->getMessage().' Take another code.');

            return self::INVALID;
        }
        $folder = config('ledger.intake').'/'.Str::slug($code, '_');
        $this->info("{$name} is {$role->value} of “{$title}”. Files are handed in below {$folder}.");

        return self::SUCCESS;
    }

    private function given(string $option, string $question): string
    {
        return trim((string) ($this->option($option) ?? $this->ask($question)));
    }

    /** @return array{Role, string} */
    private function roleAndKind(): array
    {
        $role = Role::tryFrom((string) $this->option('role'));
        $kind = (string) $this->option('kind');
        if ($role === null || ! in_array($kind, ['film', 'series', 'commission', 'course'], true)) {
            throw new \InvalidArgumentException(
                'A role is coordinator, instructor, artist or learner; a kind is film, series, commission or course.',
            );
        }

        return [$role, $kind];
    }

    /** @return array{string, string} */
    private function addressAndCode(): array
    {
        $email = strtolower($this->given('email', 'Sign-in address of the person'));
        $code = $this->given('code', 'Short code of the production, like TC');
        if (! str_contains($email, '@') || preg_match('~^(?=.*[A-Za-z0-9])[A-Za-z0-9_-]{1,40}$~', $code) !== 1) {
            throw new \InvalidArgumentException(
                'An address has an @; a code has letters, digits, dashes and underscores, and one letter or digit '
                    .'at least.',
            );
        }

        return [$email, $code];
    }

    /** @return array{string, string} name and password of somebody who is not known yet */
    private function newPerson(string $email): array
    {
        $name = $this->given('name', 'Name of the person');
        $password = (string) ($this->option('password') ?? $this->secret('Password, at least twelve letters'));
        $weak = PasswordRule::refuses($password, $name, $email);
        if ($name === '' || $weak !== null) {
            throw new \InvalidArgumentException($name === '' ? 'A person needs a name.' : (string) $weak);
        }

        return [$name, $password];
    }

    private function addPerson(string $name, string $email, string $password): User
    {
        return User::query()->create(
            ['name' => $name, 'email' => $email, 'password' => $password, 'handle' => $this->handleFor($name)],
        );
    }

    private function addProduction(string $code, string $title, string $kind): Production
    {
        $production = Production::query()->create(
            ['code' => $code, 'name' => $title === '' ? $code : $title, 'kind' => $kind, 'house' => ['require' => []]],
        );
        $path = Str::slug($code, '_').'/'.($kind === 'course' ? '{learner}' : '{shot}');
        $production->intakeRoots()->create(['label' => 'Intake', 'path' => $path]);
        File::ensureDirectoryExists((string) config('ledger.intake').'/'.dirname($path));

        return $production;
    }

    private function giveRole(User $user, Production $production, Role $role): void
    {
        $production->memberships()->updateOrCreate(['user_id' => $user->id], ['role' => $role]);
        SecurityLog::note(
            'role given',
            ['account' => $user->id, 'production' => $production->id, 'role' => $role->value],
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
