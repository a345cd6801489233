<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A page asks for news, pictures and lists beside itself, at any moment. Such a question leaves the session as it is:
 * what is told once to the next page is not used up by it, and nothing is written for each of them.
 */
final class OpenSession extends StartSession
{
    private const WRITTEN = 'written_at';

    /** Seconds after which also such a question keeps the session from growing old. */
    private const AGAIN = 600;

    protected function saveSession($request): void
    {
        $session = $request->session();
        if ($this->isAside($request) && $this->isSameSession($request, $session)) {
            if (now()->getTimestamp() - (int) $session->get(self::WRITTEN, 0) < self::AGAIN) {
                return;
            }
            $session->reflash();
        }
        $session->put(self::WRITTEN, now()->getTimestamp());
        parent::saveSession($request);
    }

    private function isAside(Request $request): bool
    {
        if (! $request->isMethodSafe()) {
            return false;
        }

        return $request->hasHeader('X-Inertia')
            ? $request->hasHeader('X-Inertia-Partial-Data')
            : ! str_contains((string) $request->header('Accept', 'text/html'), 'text/html');
    }

    /** One that has just begun, or was ended, has to be written. */
    private function isSameSession(Request $request, Session $session): bool
    {
        return $request->cookies->get($session->getName()) === $session->getId();
    }
}
