<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Security\TokenScope;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** What a token has to be for, by what its call does. */
final readonly class AskScope
{
    /** What is sent to be read, and changes nothing. */
    private const ASKING = [
        'understand', 'house.understand', 'scene.try', 'plan.try', 'shape.try', 'scenes.read', 'list.read',
        'together.read', 'calculate', 'reference.propose',
    ];

    public function __construct(private NeedsScope $needs) {}

    public function handle(Request $request, Closure $next): Response
    {
        $route = $request->route();
        $scope = $route instanceof Route ? self::of($route) : TokenScope::Administer;

        return $this->needs->handle($request, $next, $scope->value);
    }

    public static function of(Route $route): TokenScope
    {
        $rights = array_filter(
            $route->gatherMiddleware(),
            static fn (mixed $m): bool => is_string($m) && str_starts_with($m, 'can:'),
        );
        $isRead = array_intersect(['GET', 'HEAD'], $route->methods()) !== []
            || in_array(substr((string) $route->getName(), strlen('v1.')), self::ASKING, true);

        return match (true) {
            in_array('can:administer', $rights, true) => TokenScope::Administer,
            $isRead => TokenScope::Read,
            array_filter($rights, static fn (string $m): bool => str_starts_with($m, 'can:check')) !== [],
            $rights === [] => TokenScope::Check,
            default => TokenScope::Write,
        };
    }
}
