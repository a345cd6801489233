<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Health\Health;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;

/** How the machine stands, for whoever runs it. */
final class HealthController
{
    public function __invoke(Request $request): PlainResponse|JsonResponse
    {
        $lines = Health::now();
        $well = array_filter($lines, static fn (array $line): bool => ! $line['well']) === [];
        $reply = $request->wantsJson()
            ? response()->json(['well' => $well, 'lines' => $lines], $well ? 200 : 503)
            : response()->view('health', ['well' => $well, 'lines' => $lines], $well ? 200 : 503);

        return $reply->header('Cache-Control', 'no-store');
    }
}
