<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedFrame;
use App\Http\Pages\Check\FramePlace;
use App\Models\Check;
use App\Models\DeliveryOrigin;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where a frame lies on somebody's own disk, for their browser, which alone can open it. */
final class PlaceController
{
    public function show(Request $request, Check $check, string $part, int $frame): JsonResponse
    {
        abort_unless($check->delivery?->origin === DeliveryOrigin::Own, 404);

        return response()->json(new FramePlace(CheckedFrame::file($request, $check, $part, $frame)));
    }
}
