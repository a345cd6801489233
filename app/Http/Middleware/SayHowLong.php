<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Event;
use Symfony\Component\HttpFoundation\Response;

/**
 * For whoever measures: how long the server took and how many questions it asked of its databases, in a header
 * (W3C Server Timing). Off, unless the configuration asks for it.
 */
final class SayHowLong
{
    public function handle(mixed $request, Closure $next): Response
    {
        if (config('ledger.timing') !== true) {
            return $next($request);
        }
        $began = hrtime(true);
        $asked = $written = 0;
        Event::listen(static function (QueryExecuted $query) use (&$asked, &$written): void {
            $asked++;
            $written += preg_match('/^\s*(insert|update|delete|replace)/i', $query->sql);
        });
        $response = $next($request);
        $took = (hrtime(true) - $began) / 1e6;
        $response->headers->set(
            'Server-Timing',
            sprintf('app;dur=%.1f, db;desc="%d", written;desc="%d"', $took, $asked, $written),
        );

        return $response;
    }
}
