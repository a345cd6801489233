<?php

declare(strict_types=1);

namespace App\Database;

use SQLite3;

/** Copies of the databases by SQLite's online backup: whole at one moment, whoever writes meanwhile. */
final readonly class Backup
{
    private const TEMPORARY = '.part';

    public static function folder(): string
    {
        return (string) (config('ledger.backups') ?: storage_path('app/backups'));
    }

    /**
     * @return list<string> where the copies are
     *
     * @throws BackupRefused
     */
    public function make(): array
    {
        $folder = self::folder();
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true)) {
            throw BackupRefused::because('the databases', "{$folder} cannot be made");
        }
        $moment = self::freeMoment($folder);
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

    /** Two in one second do not write over each other. */
    private static function freeMoment(string $folder): string
    {
        for ($at = time(); file_exists("{$folder}/ledger-".gmdate('Ymd-His', $at).'.sqlite'); $at++);

        return gmdate('Ymd-His', $at);
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
            array_map(unlink(...), array_slice($copies, max(1, (int) config('ledger.backups_kept'))));
        }
    }
}
