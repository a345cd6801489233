<?php

declare(strict_types=1);

namespace App\Queue;

use App\Models\Check;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** Checks that wait for their turn, or are worked on: and those that nobody works on any more. */
final readonly class Waiting
{
    public const NOBODY = 'Nobody works on this check any more: whoever did was ended before it was done. '
        .'Nothing was changed. Begin it again.';

    /** Seconds without a sign of life. */
    private const PATIENCE = 60;

    /** Where the queue cannot be asked what is in it, in seconds. */
    private const LONG = 3600;

    /**
     * Tells those as broken off that are in no queue and had no sign of life for a minute.
     *
     * @param  int|null  $deliverable  of one; null: of all
     * @return int how many
     */
    public static function breakOffLost(?int $deliverable = null): int
    {
        $driver = config('queue.connections.'.config('queue.default').'.driver');
        $isKnown = in_array($driver, ['database', 'redis'], true);
        $before = Carbon::now()->subSeconds($isKnown ? self::PATIENCE : self::LONG);
        $lost = Check::query()->underWay()
            ->when($deliverable !== null, static fn (Builder $query) => $query->where('deliverable_id', $deliverable))
            ->whereRaw('coalesce(seen_at, created_at) < ?', [$before->toDateTimeString()])
            ->get(['id', 'deliverable_id', 'state', 'created_at']);
        $many = 0;
        foreach ($lost as $check) {
            if (! ($isKnown && QueueStore::hasCheck($check->id))) {
                $check->fail(self::NOBODY);
                $many++;
            }
        }

        return $many;
    }

    /** Seconds that the oldest job waits for its turn; 0 where none does. */
    public static function longest(): int
    {
        $since = QueueStore::waitsSince();

        return $since === null ? 0 : max(0, time() - $since);
    }

    public static function count(): int
    {
        return QueueStore::count();
    }
}
