<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Http\Pages\Scene\TypedAttempt;
use App\Http\Requests\Scene\TypedPart;
use App\Http\Requests\Scene\TypedSettingsRequest;
use App\Models\Deliverable;
use Illuminate\Http\JsonResponse;

/** What is typed so far, checked and not kept. */
final class TypedAttemptController
{
    /** @answers TypedAttempt */
    public function __invoke(TypedSettingsRequest $request, Deliverable $deliverable): JsonResponse
    {
        $part = TypedPart::of($request, $deliverable->loadAsked());

        return response()->json(TypedAttempt::of($deliverable, $request->typed(), $part));
    }
}
