<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/**
 * A call that says by which key it is known is done once, however often it comes: the answer of the first is given
 * again for a day. The same key with other words is refused.
 */
final readonly class OnlyOnce
{
    private const HEADER = 'Idempotency-Key';

    private const KEPT = 86_400;

    /** Seconds for which one that is under way keeps others out. */
    private const LONGEST = 120;

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header(self::HEADER);
        if ($request->isMethodSafe() || $key === null) {
            return $next($request);
        }
        if (preg_match('~^[\x21-\x7E]{1,200}$~', $key) !== 1) {
            return response()->json(['message' => self::HEADER.' is 1 to 200 signs without blanks.'], 400);
        }
        $place = 'only-once:'.hash('sha256', "{$request->user()?->id} {$key}");
        $words = self::words($request);
        $known = Cache::get($place);
        if (is_array($known)) {
            return $known['words'] === $words
                ? response($known['body'], $known['status'], $known['headers'] + ['Idempotency-Replayed' => 'true'])
                : response()->json(['message' => 'That '.self::HEADER.' was used for another call.'], 422);
        }
        $lock = Cache::lock("{$place}:lock", self::LONGEST);
        if (! $lock->get()) {
            return response()->json(['message' => 'The first call of that '.self::HEADER.' is under way.'], 409);
        }
        try {
            $response = AnswerPrograms::answer($next($request), $request->session());
            // what failed on our side may be tried again
            if ($response->getStatusCode() < 500) {
                Cache::put($place, [
                    'words' => $words, 'status' => $response->getStatusCode(), 'body' => $response->getContent(),
                    'headers' => ['Content-Type' => $response->headers->get('Content-Type')],
                ], self::KEPT);
            }

            return $response;
        } finally {
            $lock->release();
        }
    }

    /** A mark of all that is said: also of files, which a form sends beside the body. */
    private static function words(Request $request): string
    {
        $files = array_map(
            static fn (UploadedFile $file): string|false => hash_file('sha256', $file->getPathname()),
            Arr::flatten($request->allFiles()),
        );

        return hash('sha256', implode("\0", [
            $request->method(), $request->getRequestUri(), $request->getContent(),
            (string) json_encode($request->request->all()), ...$files,
        ]));
    }
}
