<?php

declare(strict_types=1);

namespace App\Database;

use SQLite3;

/** Copies of the databases by SQLite's online backup: whole at one moment, whoever writes meanwhile. */
final readonly class Backup
{
    /** Older ones than so many are cleared away. */
    private const KEPT = 10;

    private const TEMPORARY = '.part';

    /**
     * @return list<string> where the copies are
     *
     * @throws BackupRefused
     */
    public function make(): array
    {
        $folder = storage_path('app/backups');
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true)) {
            throw BackupRefused::because('the databases', "{$folder} cannot be made");
        }
        $moment = gmdate('Ymd-His');
        $places = [];
        foreach (['ledger', 'side'] as $name) {
            $database = (string) config("database.connections.{$name}.database");
            if ($database !== ':memory:' && is_file($database)) {
                $places[] = $this->copy($database, "{$folder}/{$name}-{$moment}.sqlite");
            }
        }
        $this->clear($folder);

        return $places;
    }

    private function copy(string $database, string $to): string
    {
        $part = $to.self::TEMPORARY;
        @unlink($part);
        try {
            touch($part);
            chmod($part, 0o600);
            $from = new SQLite3($database, SQLITE3_OPEN_READONLY);
            $from->busyTimeout(10_000);
            $copy = new SQLite3($part);
            $copied = $from->backup($copy) && $copy->querySingle('pragma integrity_check') === 'ok';
            $copy->close();
            $from->close();
        } catch (\Exception $fault) {
            @unlink($part);
            throw BackupRefused::because(basename($database), $fault->getMessage(), $fault);
        }
        if (! $copied || ! @rename($part, $to)) {
            @unlink($part);
            throw BackupRefused::because(basename($database), 'the copy is not whole; there may be no room for it');
        }

        return $to;
    }

    private function clear(string $folder): void
    {
        foreach (['ledger', 'side'] as $name) {
            $copies = glob("{$folder}/{$name}-*.sqlite") ?: [];
            rsort($copies);
            array_map(unlink(...), array_slice($copies, self::KEPT));
        }
    }
}
