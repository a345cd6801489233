<?php

declare(strict_types=1);

namespace App\Http;

use App\Health\MachineTrouble;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is said where the machine fails: by a page that needs neither database nor session. */
final readonly class TroubleReply
{
    private const STATUS = 503;

    public static function to(\Throwable $fault, Request $request): ?Response
    {
        $trouble = MachineTrouble::behind($fault);
        if ($trouble === null) {
            return null;
        }
        $says = $trouble->sentence();
        if ($request->header('X-Inertia') !== null) {
            $props = [
                'errors' => (object) [], 'status' => self::STATUS, 'says' => $says, 'person' => null, 'told' => null,
                'alone' => false,
            ];
            // the page that is open shows it in its place
            $page = [
                'component' => 'Fault',
                'props' => $props,
                'url' => $request->fullUrl(),
                'version' => $request->header('X-Inertia-Version'),
            ];

            return response()->json($page, self::STATUS, ['X-Inertia' => 'true', 'Retry-After' => '30']);
        }
        if ($request->is('api/*') || $request->expectsJson()) {
            return response()->json(['message' => $says], self::STATUS, ['Retry-After' => '30']);
        }

        return response()->view('fault', ['says' => $says], self::STATUS, ['Retry-After' => '30']);
    }
}
