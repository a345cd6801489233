<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\People\AddPerson;
use App\Actions\People\GiveRole;
use App\Actions\People\MakeProduction;
use App\Actions\People\PeopleRefused;
use App\Models\Production;
use App\Models\Role;
use App\Models\User;
use App\Security\PasswordRule;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PlainLedger\Core\Text\PlainSentence;

/** A first production and whoever coordinates it; run again, it adds another person or production. */
final class Begin extends Command
{
    protected $signature = 'ledger:begin
        {--name= : of the person} {--email= : their sign-in} {--password= : asked for where it is not given}
        {--production= : its name} {--code= : its short code}
        {--kind=film : film, series, commission or course}
        {--role=coordinator : coordinator, instructor, artist or learner}
        {--change : give another role to somebody who has one there already}';

    protected $description = 'Adds a person to a production, and makes either where it is not there yet';

    public function handle(AddPerson $addPerson, MakeProduction $makeProduction, GiveRole $giveRole): int
    {
        try {
            [$role, $kind] = $this->roleAndKind();
            [$email, $code] = $this->addressAndCode();
            $user = User::query()->where('email', $email)->first();
            [$name, $password] = $user === null ? $this->newPerson($email) : [$user->name, ''];
            $production = Production::byCode($code);
            $title = $production->name ?? $this->given('production', 'Name of the production');
            $this->refuseSilentChange($user, $production, $role);
            DB::transaction(static fn () => $giveRole->run(
                $production ?? $makeProduction->run($code, $title, $kind, null),
                $user ?? $addPerson->run($name, $email, $password),
                $role,
            ));
        } catch (\InvalidArgumentException $invalid) {
            $this->error($invalid->getMessage());

            return self::INVALID;
        } catch (PlainSentence $refused) {
            $this->error($refused->getMessage().($refused instanceof PeopleRefused ? '' : ' Take another code.'));

            return self::INVALID;
        }
        $folder = config('ledger.intake').'/'.Str::slug($code, '_');
        $this->info("{$name} is {$role->value} of “{$title}”. Files are handed in below {$folder}.");

        return self::SUCCESS;
    }

    /** Whoever has another role in it keeps that, unless it is said. */
    private function refuseSilentChange(?User $user, ?Production $production, Role $role): void
    {
        if ($user === null || $production === null || $this->option('change') === true) {
            return;
        }
        $has = $user->roleIn($production->id);
        if ($has !== null && $has !== $role) {
            throw new \InvalidArgumentException(
                "{$user->name} is {$has->value} of “{$production->name}” already. To change that, add --change.",
            );
        }
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
}
