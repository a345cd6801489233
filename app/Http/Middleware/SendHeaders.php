<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** With every reply, errors and files too: nothing is loaded from elsewhere, framed by others, or guessed at. */
final class SendHeaders
{
    private const POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' "
        ."data: blob:; font-src 'self'; connect-src 'self'; base-uri 'self'; form-action 'self'; object-src 'none'";

    private const ALWAYS = [
        'X-Content-Type-Options' => 'nosniff',
        'Referrer-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Cross-Origin-Resource-Policy' => 'same-origin',
        'X-Permitted-Cross-Domain-Policies' => 'none',
    ];

    /** A year. */
    private const STRICT = 'max-age=31536000';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return self::on($next($request), $request);
    }

    /** Also on what is sent where a fault keeps it from coming back through here. */
    public static function on(Response $response, Request $request): Response
    {
        // the sheet alone stands within a page of our own
        $within = $request->routeIs('sheet') ? "'self'" : "'none'";
        $response->headers->set('Content-Security-Policy', self::POLICY."; frame-ancestors {$within}");
        $response->headers->set('X-Frame-Options', $within === "'self'" ? 'SAMEORIGIN' : 'DENY');
        foreach (self::ALWAYS as $name => $value) {
            $response->headers->set($name, $value);
        }
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', self::STRICT);
        }
        if ($request->hasSession() && $request->user() !== null && ! $request->routeIs('check.picture')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }

        return $response;
    }
}
