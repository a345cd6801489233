<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The newest check of a deliverable. */
final class NewestCheckController
{
    public function show(Request $request, string $production, string $code): JsonResponse
    {
        $deliverable = (new ApiCaller($request))->deliverable($production, $code, 'view');
        $check = $deliverable->checks()->done()->latest('id')->first();

        return $check === null
            ? response()->json(['message' => 'Nothing of it has been checked yet.'], 404)
            : ApiCaller::check($check);
    }
}
