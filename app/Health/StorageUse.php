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
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(storage_path('app'), \FilesystemIterator::SKIP_DOTS),
            \RecursiveIteratorIterator::LEAVES_ONLY,
            \RecursiveIteratorIterator::CATCH_GET_CHILD,
        );
        foreach ($files as $file) {
            $sum += $file instanceof \SplFileInfo && $file->isFile() && ! $file->isLink() ? (int) $file->getSize() : 0;
        }

        return $sum;
    }
}
