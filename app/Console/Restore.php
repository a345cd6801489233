<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\BackupUnusable;
use App\Database\Restore as Putting;
use Illuminate\Console\Command;

/** Both databases as they were at the moment of a backup. */
final class Restore extends Command
{
    protected $signature = 'ledger:restore
        {moment? : of which backup, like 20261129-023000; the newest where none is said}
        {--list : only say which there are}
        {--yes : do not ask}';

    protected $description = 'Puts both databases back as a backup has them';

    public function handle(Putting $putting): int
    {
        $moments = Putting::moments();
        if ($this->option('list') === true) {
            array_map($this->line(...), $moments);

            return self::SUCCESS;
        }
        $moment = (string) ($this->argument('moment') ?? $moments[0] ?? '');
        if (! in_array($moment, $moments, true)) {
            $this->error($moments === [] ? 'There is no backup.' : "There is no backup of “{$moment}”: see --list.");

            return self::FAILURE;
        }
        $question = "Everything since {$moment} (UTC) goes. Go on?";
        if ($this->option('yes') !== true && ! $this->confirm($question)) {
            return self::FAILURE;
        }
        try {
            $before = $putting->run($moment);
        } catch (BackupUnusable $refused) {
            $this->error($refused->getMessage().' Nothing was changed.');

            return self::FAILURE;
        }
        $this->info("The ledger is as it was at {$moment} (UTC)."
            .($before === [] ? '' : ' What was there before is in '.implode(' and ', $before).'.'));

        return $this->call('ledger:migrate');
    }
}
