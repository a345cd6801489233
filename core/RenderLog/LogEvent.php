<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

/** What a line of a render log tells. */
enum LogEvent: string
{
    case Started = 'started';
    case Finished = 'finished';
    case File = 'file';
    case Warning = 'warning';
    case Error = 'error';

    public function spoken(): string
    {
        return match ($this) {
            self::Started => 'a frame has begun',
            self::Finished => 'a frame is finished',
            self::File => 'a file was written',
            self::Warning => 'a warning',
            self::Error => 'an error',
        };
    }
}
