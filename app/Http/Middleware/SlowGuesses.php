<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Security\SecurityLog;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/** Tokens that are none are counted by where they come from; after some, that place waits. */
final class SlowGuesses
{
    private const MOST = 30;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $key = 'token-guess:'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::MOST)) {
            $headers = ['Retry-After' => (string) RateLimiter::availableIn($key)];

            return response()->json(['message' => 'Too many tokens that are none. Wait a minute.'], 429, $headers);
        }
        $response = $next($request);
        if ($response->getStatusCode() === 401) {
            RateLimiter::hit($key);
            SecurityLog::note('token refused');
        }

        return $response;
    }
}
