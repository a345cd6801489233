<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Backup;
use App\Database\BackupRefused;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;

/** Brings both databases up to date. What is in them is copied aside before anything is changed. */
final class Migrate extends Command
{
    protected $signature = 'ledger:migrate';

    protected $description = 'Brings the databases up to date, after a backup of both';

    public function handle(Backup $backup): int
    {
        /** @var Migrator $migrator */
        $migrator = $this->laravel->make('migrator');
        $known = array_keys($migrator->getMigrationFiles(database_path('migrations')));
        $done = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        if (array_diff($known, $done) === []) {
            return self::SUCCESS;
        }
        $newer = array_diff($done, $known);
        if ($newer !== []) {
            $this->error('The database is of a newer version of Plain Ledger than this one. Nothing was changed.');

            return self::FAILURE;
        }
        try {
            $places = $done === [] ? [] : $backup->make();
        } catch (BackupRefused $refused) {
            $this->error($refused->getMessage().' Nothing was changed.');

            return self::FAILURE;
        }
        if ($this->callSilently('migrate', ['--force' => true]) !== self::SUCCESS) {
            $this->error(
                'The databases could not be brought up to date.'.(
                    $places === [] ? '' : ' What was in them is in '.implode(' and ', $places).'.'
                ),
            );

            return self::FAILURE;
        }
        $places === []
            || $this->info(
                'The databases are up to date. What was in them before is in '.implode(' and ', $places).'.',
            );

        return self::SUCCESS;
    }
}
