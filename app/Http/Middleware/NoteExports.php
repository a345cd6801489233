<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Security\SecurityLog;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** Who takes data out in files stands in the security log. */
final class NoteExports
{
    private const EXPORTS = ['list.export', 'grades', 'outbox.export', 'names.export', 'check.report'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $route = $request->route();
        $name = $route instanceof Route ? $route->getName() : null;
        if ($route instanceof Route && in_array($name, self::EXPORTS, true) && $response->isSuccessful()) {
            $of = array_filter($route->parameters(), static fn (mixed $value): bool => $value instanceof Model);
            SecurityLog::note(
                'exported',
                ['what' => $name] + array_map(static fn (Model $model): int => (int) $model->getKey(), $of),
            );
        }

        return $response;
    }
}
