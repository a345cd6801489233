<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Security\TokenScope;
use Closure;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/** A token does what it was made for, and nothing more. */
final class NeedsScope
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $scope): Response
    {
        $token = $request->user()?->currentAccessToken();
        $needed = TokenScope::from($scope);
        if (! $needed->isHeldBy($token instanceof PersonalAccessToken ? $token : null)) {
            $says = "This token may not do that: it needs the scope “{$needed->value}”, to {$needed->inWords()}.";

            return response()->json(['message' => $says], 403);
        }

        return $next($request);
    }
}
