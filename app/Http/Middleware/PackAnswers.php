<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Pages and answers go packed (RFC 9110, section 8.4.1.3) to whoever unpacks them; files and streams as they are. */
final class PackAnswers
{
    /** Bytes: what is shorter fits into a packet or two anyway. */
    private const LEAST = 2000;

    /** zlib's own scale: most of what can be won, in a millisecond or two. */
    private const LEVEL = 4;

    private const KINDS = '~^(text/|application/(problem\+)?json)~';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (! self::isText($response) || ! in_array('gzip', $request->getEncodings(), true)) {
            return $response;
        }
        $packed = gzencode((string) $response->getContent(), self::LEVEL);
        if ($packed !== false) {
            $response->setContent($packed);
            $response->headers->set('Content-Encoding', 'gzip');
            $response->headers->set('Content-Length', (string) strlen($packed));
            $response->setVary('Accept-Encoding', false);
        }

        return $response;
    }

    private static function isText(Response $response): bool
    {
        return ! $response instanceof StreamedResponse && ! $response instanceof BinaryFileResponse
            && ! $response->headers->has('Content-Encoding')
            && preg_match(self::KINDS, (string) $response->headers->get('Content-Type')) === 1
            && strlen((string) $response->getContent()) >= self::LEAST;
    }
}
