<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is loaded from elsewhere, framed by others, or guessed at. */
final class SendHeaders
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // the sheet alone stands within a page of our own
        $within = $request->routeIs('sheet') ? "'self'" : "'none'";
        $response->headers->set('Content-Security-Policy', "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; frame-ancestors {$within}; base-uri 'self'; form-action 'self'; object-src 'none'");
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('X-Frame-Options', $within === "'self'" ? 'SAMEORIGIN' : 'DENY');
        $response->headers->set('Referrer-Policy', 'same-origin');

        return $response;
    }
}
