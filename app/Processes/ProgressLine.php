<?php

declare(strict_types=1);

namespace App\Processes;

/** A line in which a scan that goes on elsewhere says how far it is. */
final readonly class ProgressLine
{
    /**
     * @param  array<string, mixed>  $line  as `cli/work.php` writes it
     * @param  \Closure(array{done: int, all: int|null, at: string}|null): bool  $progress  null: it goes on, however
     *   long; false stops it
     * @return bool|null whether it is to go on; null where the line says something else
     */
    public static function told(array $line, \Closure $progress): ?bool
    {
        if (isset($line['alive'])) {
            return $progress(null);
        }
        if (! isset($line['at'])) {
            return null;
        }
        $all = $line['all'] === null ? null : (int) $line['all'];

        return $progress(['done' => (int) $line['done'], 'all' => $all, 'at' => (string) $line['at']]);
    }
}
