<?php

declare(strict_types=1);

namespace App\Health;

use App\Queue\Waiting;
use App\Queue\Workers;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Text\Text;

/** Whether everything that the application stands on holds. */
final readonly class Health
{
    /** Bytes that must be free for databases and work under way. */
    private const ROOM = 200_000_000;

    /** Seconds that a job may wait for its turn before somebody should look. */
    private const LONGEST_WAIT = 300;

    /** @return array<string, array{well: bool, says: string}> by what is looked at */
    public static function now(): array
    {
        return [
            'database' => self::database('ledger'),
            'sessions and queue' => self::database('side'),
            'disk' => self::disk(),
            'intake' => self::intake(),
            'queue' => self::guarded(self::queue(...)),
            'workers' => self::guarded(self::workers(...)),
        ];
    }

    /** @return array{well: bool, says: string} */
    private static function line(bool $well, string $says): array
    {
        return ['well' => $well, 'says' => $says];
    }

    /**
     * @param  \Closure(): array{well: bool, says: string}  $look
     * @return array{well: bool, says: string}
     */
    private static function guarded(\Closure $look): array
    {
        try {
            return $look();
        } catch (\Throwable) {
            return self::line(false, 'cannot be asked');
        }
    }

    /** @return array{well: bool, says: string} */
    private static function database(string $name): array
    {
        try {
            // the write lock, and nothing written
            DB::connection($name)->beginTransaction();
            DB::connection($name)->rollBack();

            return self::line(true, 'can be read and written to');
        } catch (\Throwable $fault) {
            return self::line(false, MachineTrouble::of($fault)->inWords());
        }
    }

    /** @return array{well: bool, says: string} */
    private static function disk(): array
    {
        $free = @disk_free_space(storage_path());
        if ($free === false) {
            return self::line(false, 'cannot be asked');
        }

        return self::line($free >= self::ROOM, ByteSize::of((int) $free).' free');
    }

    /** @return array{well: bool, says: string} */
    private static function intake(): array
    {
        $there = is_dir((string) config('ledger.intake')) && is_readable((string) config('ledger.intake'));

        return self::line($there, $there ? 'can be read' : 'is not there, or may not be read');
    }

    /** @return array{well: bool, says: string} */
    private static function queue(): array
    {
        [$many, $longest] = [Waiting::count(), Waiting::longest()];
        $says = $many === 0
            ? 'empty'
            : Text::count($many, 'job').' in it; the oldest has waited '.Text::count($longest, 'second');

        return self::line($longest <= self::LONGEST_WAIT, $says);
    }

    /** @return array{well: bool, says: string} */
    private static function workers(): array
    {
        $many = Workers::count();
        if (config('queue.default') === 'sync') {
            return self::line(true, 'none needed');
        }

        return self::line(
            ! Workers::areMissing(),
            $many === 0 ? 'none seen for a minute' : Text::count($many, 'worker').' at work',
        );
    }
}
