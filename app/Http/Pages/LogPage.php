<?php

declare(strict_types=1);

namespace App\Http\Pages;

use App\Models\RenderLog;

/** A log as pages show it. */
final readonly class LogPage
{
    /** @return array<string, mixed> */
    public static function of(RenderLog $log): array
    {
        $reading = $log->reading;
        unset($reading['sample']);

        return [
            'id' => $log->id,
            'name' => $log->name,
            'followed' => $log->path !== null,
            'shape' => $log->shape['name'] ?? null,
            'read' => $log->read,
            'size' => $log->size,
            'fault' => $log->fault,
            'at' => $log->updated_at->format('j M, H:i:s'),
            'reading' => $reading,
        ];
    }
}
