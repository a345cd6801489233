<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Backup as Copy;
use App\Database\BackupRefused;
use Illuminate\Console\Command;

/** A copy of both databases, as they are at one moment, while everybody works on. */
final class BackUp extends Command
{
    protected $signature = 'ledger:backup';

    protected $description = 'Copies both databases aside while everybody works on';

    public function handle(Copy $copy): int
    {
        try {
            foreach ($copy->make() as $place) {
                $this->line($place);
            }
        } catch (BackupRefused $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
