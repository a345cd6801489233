<?php

declare(strict_types=1);

namespace App\Health;

/** Whether what is done by itself at set times is kept running: it leaves a mark each minute. */
final readonly class Schedule
{
    public static function mark(): void
    {
        @touch(self::path());
    }

    /** Seconds since 1970 of the newest mark; null where there is none. */
    public static function seen(): ?int
    {
        clearstatcache(true, self::path());
        $seen = @filemtime(self::path());

        return $seen === false ? null : $seen;
    }

    private static function path(): string
    {
        return storage_path('framework/schedule-seen');
    }
}
