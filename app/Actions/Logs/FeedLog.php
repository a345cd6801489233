<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Models\RenderLog;

/** The next piece of a log that is sent. */
final readonly class FeedLog
{
    public function __construct(private LogLock $lock, private ReadLog $read) {}

    public function run(RenderLog $log, string $bytes, bool $last): void
    {
        $this->lock->run($log, fn () => $this->read->run($log, $bytes, $last));
    }
}
