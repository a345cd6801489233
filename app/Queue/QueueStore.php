<?php

declare(strict_types=1);

namespace App\Queue;

use Illuminate\Database\Query\Builder;
use Illuminate\Queue\RedisQueue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** What is in the queue, in the database beside the ledger or in Redis. */
final readonly class QueueStore
{
    /** Seconds since 1970 since when the job waits that waits longest; null where none does. */
    public static function waitsSince(): ?int
    {
        $queue = Queue::connection();
        if ($queue instanceof RedisQueue) {
            $since = $queue->creationTimeOfOldestPendingJob();

            return is_numeric($since) ? (int) $since : null;
        }
        $since = self::jobs()->whereNull('reserved_at')->where('available_at', '<=', time())->min('available_at');

        return $since === null ? null : (int) $since;
    }

    /** Jobs that wait, now or for later, and those that are worked on. */
    public static function count(): int
    {
        $queue = Queue::connection();

        return $queue instanceof RedisQueue ? (int) $queue->size() : self::jobs()->count();
    }

    /** Whether a job of a check waits or is worked on. */
    public static function hasCheck(int $check): bool
    {
        $mark = '"check":'.$check.',';
        $queue = Queue::connection();
        if (! $queue instanceof RedisQueue) {
            return self::jobs()->where('payload', 'like', "%{$mark}%")->exists();
        }
        $name = $queue->getQueue(null);
        $redis = $queue->getConnection();
        $payloads = [
            ...(array) $redis->command('lrange', [$name, 0, -1]),
            ...(array) $redis->command('zrange', ["{$name}:delayed", 0, -1]),
            ...(array) $redis->command('zrange', ["{$name}:reserved", 0, -1]),
        ];

        return array_filter($payloads, static fn (mixed $p): bool => is_string($p) && str_contains($p, $mark)) !== [];
    }

    /** A job whose worker is gone: others may take it at once, and not only when its time is over. */
    public static function free(string $job): void
    {
        $queue = Queue::connection();
        if (! $queue instanceof RedisQueue) {
            self::jobs()->where('id', $job)->whereNotNull('reserved_at')
                ->update(['reserved_at' => null, 'available_at' => time()]);

            return;
        }
        $name = $queue->getQueue(null).':reserved';
        $redis = $queue->getConnection();
        foreach ((array) $redis->command('zrange', [$name, 0, -1]) as $payload) {
            if (is_string($payload) && str_contains($payload, '"id":"'.$job.'"')) {
                // its time is over now: the next who asks for work gets it
                $redis->command('zadd', [$name, [$payload => time()]]);
            }
        }
    }

    private static function jobs(): Builder
    {
        return DB::connection('side')->table('jobs');
    }
}
