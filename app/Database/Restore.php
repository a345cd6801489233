<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use SQLite3;

/** Puts both databases back as a backup has them. */
final readonly class Restore
{
    public function __construct(private Backup $backup) {}

    /** @return list<string> moments of backups of which both databases are there, the newest first */
    public static function moments(): array
    {
        $found = [];
        foreach (glob(Backup::folder().'/ledger-*.sqlite') ?: [] as $path) {
            $moment = substr(basename($path, '.sqlite'), strlen('ledger-'));
            if (is_file(Backup::folder()."/side-{$moment}.sqlite")) {
                $found[] = $moment;
            }
        }
        rsort($found);

        return $found;
    }

    /**
     * What is there now is kept beside first, where it can be read.
     *
     * @param  string  $moment  of a backup
     * @return list<string> where what was there before is kept; empty where it was in ruins
     *
     * @throws BackupUnusable where the backup is not whole, or not there
     */
    public function run(string $moment): array
    {
        $copies = [];
        foreach (['ledger', 'side'] as $name) {
            $copies[$name] = Backup::folder()."/{$name}-{$moment}.sqlite";
            self::requireWhole($copies[$name]);
        }
        try {
            $before = $this->backup->make();
        } catch (BackupRefused) {
            $before = [];
        }
        foreach ($copies as $name => $copy) {
            DB::purge($name);
            self::put($copy, (string) config("database.connections.{$name}.database"));
        }

        return $before;
    }

    private static function requireWhole(string $path): void
    {
        if (! is_file($path)) {
            throw BackupUnusable::because(basename($path), 'it is not there');
        }
        try {
            $copy = new SQLite3($path, SQLITE3_OPEN_READONLY);
            $isWhole = $copy->querySingle('pragma integrity_check') === 'ok';
            $copy->close();
        } catch (\Exception $fault) {
            throw BackupUnusable::because(basename($path), $fault->getMessage(), $fault);
        }
        if (! $isWhole) {
            throw BackupUnusable::because(basename($path), 'it is damaged');
        }
    }

    /** By the online backup where the database can be opened, so that whoever has it open sees the other at once. */
    private static function put(string $copy, string $to): void
    {
        try {
            $from = new SQLite3($copy, SQLITE3_OPEN_READONLY);
            $target = new SQLite3($to);
            $target->busyTimeout(10_000);
            $done = @$from->backup($target) && $target->querySingle('pragma quick_check') === 'ok';
            $target->close();
            $from->close();
        } catch (\Exception) {
            $done = false;
        }
        if (! $done) {
            // in ruins: nobody can have it open
            array_map(static fn (string $end): bool => @unlink($to.$end), ['', '-wal', '-shm']);
            if (! copy($copy, $to)) {
                throw BackupUnusable::because(basename($to), 'it could not be written');
            }
        }
    }
}
