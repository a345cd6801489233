<?php

declare(strict_types=1);

namespace App\Health;

use Illuminate\Support\Facades\Cache;

/** What the ledger takes of the disk, counted now and then: databases, uploads, backups; not the intake. */
final readonly class StorageUse
{
    private const COUNTED_FOR = 300;

    public static function bytes(): int
    {
        return (int) Cache::remember('storage-use', self::COUNTED_FOR, self::count(...));
    }

    private static function count(): int
    {
        $sum = 0;
        foreach (['ledger', 'side'] as $name) {
            $database = (string) config("database.connections.{$name}.database");
            foreach (['', '-wal'] as $end) {
                $sum += is_file($database.$end) ? (int) filesize($database.$end) : 0;
            }
        }
        $own = (string) config('filesystems.disks.local.root');
        $folders = str_starts_with($own, storage_path('app')) ? [storage_path('app')] : [storage_path('app'), $own];

        return $sum + array_sum(array_map(self::below(...), $folders));
    }

    private static function below(string $folder): int
    {
        if (! is_dir($folder)) {
            return 0;
        }
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS),
            \RecursiveIteratorIterator::LEAVES_ONLY,
            \RecursiveIteratorIterator::CATCH_GET_CHILD,
        );
        $sum = 0;
        foreach ($files as $file) {
            $sum += $file instanceof \SplFileInfo && $file->isFile() && ! $file->isLink() ? (int) $file->getSize() : 0;
        }

        return $sum;
    }
}
