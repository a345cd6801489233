<?php

declare(strict_types=1);

namespace App\Models;

/** Where a check stands on its way. */
enum CheckState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return $this === self::Queued || $this === self::Running;
    }
}
