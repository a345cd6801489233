<?php

declare(strict_types=1);

namespace App\Actions\Logs;

use App\Intake\Spool;
use App\Models\RenderLog;
use Illuminate\Support\Facades\Storage;

/** Removes a log, and what was put aside of it. */
final readonly class ForgetLog
{
    public function run(RenderLog $log): void
    {
        Storage::delete(Spool::name('log', $log));
        $log->delete();
    }
}
