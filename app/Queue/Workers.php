<?php

declare(strict_types=1);

namespace App\Queue;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Who works on what is queued: each worker says now and then that it lives, and which job it has. What one had when it
 * ended for good is free again at once, and not only when its time is over.
 */
final class Workers
{
    /** Seconds between two signs of life, and after which one that gives none is taken for gone. */
    private const EVERY = 5;

    private const GONE_AFTER = 120;

    /** Seconds without any worker after which pages say so. */
    private const MISSED_AFTER = 60;

    private const NONE_SINCE = 'no-worker-since';

    private static ?string $id = null;

    private static int $told = 0;

    private static function table(): Builder
    {
        return DB::connection('side')->table('workers');
    }

    /** This process works on the queue from now on. */
    public static function begin(): void
    {
        self::$id ??= (string) Str::uuid();
        self::$told = time();
        self::table()->updateOrInsert(['id' => self::$id], [
            'host' => (string) gethostname(),
            'pid' => (int) getmypid(),
            'began' => self::beganAt((int) getmypid()),
            'job_id' => null,
            'seen_at' => time(),
        ]);
        Cache::forget(self::NONE_SINCE);
        self::free();
    }

    /** A sign of life, where this process is a worker; told no oftener than is needed. */
    public static function beat(): void
    {
        if (self::$id !== null && time() - self::$told >= self::EVERY) {
            self::$told = time();
            self::table()->where('id', self::$id)->update(['seen_at' => time()]);
        }
    }

    public static function has(?string $job): void
    {
        if (self::$id !== null) {
            self::$told = time();
            self::table()->where('id', self::$id)->update(['seen_at' => time(), 'job_id' => $job]);
        }
    }

    public static function end(): void
    {
        if (self::$id !== null) {
            self::table()->where('id', self::$id)->delete();
            self::$id = null;
        }
    }

    /** What workers had that are gone, for others to take. */
    public static function free(): void
    {
        foreach (self::table()->get() as $worker) {
            if ($worker->id === self::$id || self::lives($worker)) {
                continue;
            }
            DB::connection('side')->transaction(static function () use ($worker): void {
                // of several who see it gone, one frees its job
                if (self::table()->where('id', $worker->id)->delete() === 1 && $worker->job_id !== null) {
                    QueueStore::free((string) $worker->job_id);
                }
            });
        }
    }

    private static function lives(object $worker): bool
    {
        /** @var object{host: string, pid: int, began: string, seen_at: int} $worker */
        if ($worker->host === gethostname() && $worker->began !== '') {
            return self::beganAt((int) $worker->pid) === $worker->began;
        }

        return time() - $worker->seen_at < self::GONE_AFTER;
    }

    /** When a process of this machine began, in ticks since its start; empty where there is none, or no telling. */
    private static function beganAt(int $pid): string
    {
        $stat = @file_get_contents("/proc/{$pid}/stat");
        // the name of the program stands in brackets, and may hold anything
        $fields = $stat === false ? [] : explode(' ', substr($stat, (int) strrpos($stat, ')') + 2));

        // one that has ended and was not collected yet works no more
        return ($fields[0] ?? 'Z') === 'Z' ? '' : $fields[19] ?? '';
    }

    /** Whether whoever waits for the queue waits for nobody. */
    public static function areMissing(): bool
    {
        if (config('queue.default') === 'sync') {
            return false;
        }
        $seen = self::seen();
        if ($seen > 0) {
            return $seen < time() - self::MISSED_AFTER;
        }
        // none was ever seen, or the last one took its leave: that may be a moment ago
        $since = Cache::get(self::NONE_SINCE);
        if (! is_int($since)) {
            Cache::put(self::NONE_SINCE, time(), 3600);
        }

        return is_int($since) && $since < time() - self::MISSED_AFTER;
    }

    /** Seconds since 1970 of the newest sign of life; 0 where there was none. */
    public static function seen(): int
    {
        return (int) self::table()->max('seen_at');
    }

    public static function count(): int
    {
        return self::table()->where('seen_at', '>=', time() - self::MISSED_AFTER)->count();
    }
}
