<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\Progress;
use App\Models\Check;
use App\Queue\Waiting;
use Illuminate\Http\JsonResponse;

/** How far a check is. */
final class CheckProgressController
{
    public function show(Check $check): JsonResponse
    {
        Waiting::breakOffLost($check->deliverable_id);

        return response()->json(new Progress($check->refresh()));
    }
}
