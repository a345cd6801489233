<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Http\Pages\Render\Plan;
use App\Http\Requests\Production\PlanRequest;
use App\Models\Production;
use App\Rendering\RenderWork;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** Another count of machines or other hours, looked at and not kept. */
final class PlanAttemptController
{
    public function __invoke(PlanRequest $request, Production $production): JsonResponse
    {
        $pool = $request->pool($production);
        $deliverable = $request->deliverable($production);
        if ($deliverable === null) {
            Gate::authorize('decide', $production);

            return response()->json(['plan' => new Plan(RenderWork::plan($production, $pool))]);
        }
        Gate::authorize('view', $deliverable);
        $job = RenderWork::job($deliverable);

        return response()->json(['plan' => $job === null ? null : new Plan(RenderPlan::of($pool, [$job]))]);
    }
}
