<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers under its own names alone: a request that came under another was made by a page that wants to pass for this
 * one.
 */
final class RefuseOtherHosts
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        try {
            $host = strtolower($request->getHost());
        } catch (SuspiciousOperationException) {
            $host = '';
        }
        if (! in_array($host, self::own(), true)) {
            return new Response(
                "This is not served under that name.\n",
                400,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
        }

        return $next($request);
    }

    /** @return list<string> */
    private static function own(): array
    {
        $named = array_filter(array_map(trim(...), explode(',', (string) config('ledger.hosts'))));
        $address = (string) parse_url((string) config('app.url'), PHP_URL_HOST);
        // on the machine itself, as long as it is not open to others under a name of its own
        $local = in_array($address, ['', '127.0.0.1', 'localhost', '::1', '[::1]'], true)
            ? ['127.0.0.1', 'localhost', '[::1]']
            : [];

        return array_map(strtolower(...), [...array_values($named), ...($address === '' ? [] : [$address]), ...$local]);
    }
}
