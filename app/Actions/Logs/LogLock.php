<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Models\RenderLog;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Cache;

/** Does something with a log while nobody else does, from how it stands by then. */
final readonly class LogLock
{
    /** Seconds that one reading may take, and that another waits for it. */
    private const LONGEST = 120;

    private const WAITS = 10;

    public function run(RenderLog $log, \Closure $work): void
    {
        try {
            Cache::lock("log-{$log->id}", self::LONGEST)->block(self::WAITS, function () use ($log, $work): void {
                $row = RenderLog::query()->whereKey($log->id)->toBase()->first();
                if ($row !== null) {
                    $log->setRawAttributes((array) $row, true);
                    $work();
                }
            });
        } catch (LockTimeoutException) {
            // somebody else reads it just now; what they find is shown the next time
        }
    }
}
