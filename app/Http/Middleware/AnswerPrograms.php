<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Routing\Redirector;
use Illuminate\Session\ArraySessionHandler;
use Illuminate\Session\Store;
use Illuminate\Support\ViewErrorBag;
use Symfony\Component\HttpFoundation\Response;

/**
 * What pages are given and where forms lead, as programs have it: the view model itself; what was told and where it
 * stands; and problems as RFC 9457 has them. Nothing is kept from one call to the next.
 */
final readonly class AnswerPrograms
{
    private const PROBLEM = 'application/problem+json';

    /** What a form leaves for the page after it. */
    private const LEFT = ['told', 'links', 'link', 'change', 'webhook_secret', 'turned'];

    public function __construct(private Redirector $redirector) {}

    public function handle(Request $request, Closure $next): Response
    {
        $session = new Store('program', new ArraySessionHandler(1));
        $session->start();
        $request->setLaravelSession($session);
        $this->redirector->setSession($session);
        // view models come as they are, and not within the page that a browser would draw
        $request->headers->set('X-Inertia', 'true');
        $request->headers->set('Accept', 'application/json');

        return self::answer($next($request), $session);
    }

    /** An answer as a program has it; one that is so already stays. */
    public static function answer(Response $response, Session $session): Response
    {
        return match (true) {
            $response instanceof RedirectResponse => self::led($response, $session),
            ! $response instanceof JsonResponse => $response,
            $response->headers->get('Content-Type') === self::PROBLEM => $response,
            $response->getStatusCode() >= 400 => self::failed($response),
            $response->headers->has('X-Inertia') => self::shown($response),
            default => $response,
        };
    }

    private static function led(RedirectResponse $response, Session $session): JsonResponse
    {
        $errors = $session->get('errors');
        $bag = $errors instanceof ViewErrorBag ? $errors->getBag('default') : null;
        if ($bag !== null && $bag->isNotEmpty()) {
            return self::problem(422, $bag->first(), $bag->getMessages());
        }

        return response()->json(array_filter([
            ...array_intersect_key($session->all(), array_flip(self::LEFT)),
            'at' => parse_url($response->getTargetUrl(), PHP_URL_PATH) ?? '/',
        ], static fn (mixed $left): bool => $left !== null));
    }

    private static function failed(JsonResponse $response): JsonResponse
    {
        $status = $response->getStatusCode();
        $data = $response->getData(true);
        $told = is_array($data) ? $data : [];
        $says = is_string($told['message'] ?? null) ? $told['message'] : Response::$statusTexts[$status] ?? '';
        $kept = array_intersect_key($response->headers->all(), ['retry-after' => 1, 'www-authenticate' => 1]);

        return self::problem($status, $says, $told['errors'] ?? [])->withHeaders($kept);
    }

    private static function shown(JsonResponse $response): JsonResponse
    {
        // as objects, so that an empty one stays one
        $props = (object) ($response->getData()->props ?? []);
        unset($props->errors);
        $response->headers->remove('X-Inertia');

        return $response->setData($props);
    }

    /** @param  array<string, mixed>  $errors  sentences by field */
    private static function problem(int $status, string $says, array $errors): JsonResponse
    {
        return response()->json(array_filter([
            'type' => 'about:blank', 'title' => Response::$statusTexts[$status] ?? 'Problem', 'status' => $status,
            'detail' => $says, 'errors' => $errors,
        ], static fn (mixed $told): bool => $told !== [] && $told !== ''), $status, ['Content-Type' => self::PROBLEM]);
    }
}
