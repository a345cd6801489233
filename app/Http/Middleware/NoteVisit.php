<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpFoundation\Response;

/** When somebody was here last: by it the first page tells what has come to an end since. */
final class NoteVisit
{
    /** Minutes: more often nothing is written. */
    private const EVERY = 5;

    /** Minutes without a page after which somebody was away. */
    private const AWAY = 30;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $reader = $request->user();
        // a page that stands open asks for news by itself
        if ($reader instanceof User && ! $request->routeIs('news', 'index')) {
            $this->note($reader, Carbon::now());
        }

        return $next($request);
    }

    private function note(User $reader, Carbon $now): void
    {
        $last = $reader->active_at;
        if ($last !== null && $last->isAfter($now->copy()->subMinutes(self::EVERY))) {
            return;
        }
        $reader->active_at = $now;
        if ($last !== null && $last->isBefore($now->copy()->subMinutes(self::AWAY))) {
            $reader->away_since = $last;
        }
        // nobody did anything to the person
        $reader->saveQuietly();
    }
}
