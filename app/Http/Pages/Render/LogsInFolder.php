<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use App\Intake\IntakeFolder;

/**
 * What lies in a folder that could be a log, the newest first.
 *
 * @phpstan-type LogFile array{name: string, bytes: int}
 */
final readonly class LogsInFolder
{
    /** @var list<LogFile> */
    public array $logs;

    public function __construct(IntakeFolder $folder)
    {
        $this->logs = $folder->logs();
    }
}
