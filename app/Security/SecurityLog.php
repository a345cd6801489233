<?php

declare(strict_types=1);

namespace App\Security;

use Illuminate\Support\Facades\Log;

/** What bears on who may see and do what, for whoever runs the installation. Secrets are never in it. */
final readonly class SecurityLog
{
    /** @param  array<string, int|string|null>  $about  ids and words; no password, token, link or typed address */
    public static function note(string $event, array $about = []): void
    {
        $request = app()->runningInConsole() && ! app()->runningUnitTests() ? null : request();
        try {
            Log::channel('security')->info(
                $event,
                $about + ['by' => $request?->user()->id ?? null, 'from' => $request?->ip()],
            );
        } catch (\Throwable) {
            // a full disk must not keep people from their work
        }
    }
}
