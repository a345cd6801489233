<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\People\Invite;
use App\Models\User;
use Illuminate\Console\Command;

/** A link by which somebody comes in, where nobody can make one on a page. */
final class Link extends Command
{
    protected $signature = 'ledger:link {address? : whose password is set anew; without it, for an administrator}';

    protected $description = 'Prints a link, used once: to become an administrator, or for a new password';

    public function handle(Invite $invite): int
    {
        $address = $this->argument('address');
        if (! is_string($address)) {
            $this->line($invite->administrator());

            return self::SUCCESS;
        }
        $person = User::query()->where('email', mb_strtolower(trim($address)))->first();
        if ($person === null) {
            $this->error('Nobody has that address.');

            return self::INVALID;
        }
        $this->line($invite->password($person, null));

        return self::SUCCESS;
    }
}
