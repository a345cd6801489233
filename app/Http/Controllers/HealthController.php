<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Health\Health;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** For whoever watches the installation: no sign-in, and nothing told of what is in it. */
final class HealthController
{
    public function __invoke(Request $request): Response|JsonResponse
    {
        $lines = Health::now();
        $well = array_filter($lines, static fn (array $line): bool => ! $line['well']) === [];
        $reply = $request->wantsJson()
            ? response()->json(['well' => $well, 'lines' => $lines], $well ? 200 : 503)
            : response()->view('health', ['well' => $well, 'lines' => $lines], $well ? 200 : 503);

        return $reply->header('Cache-Control', 'no-store');
    }
}
