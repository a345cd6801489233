<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Lists\PlanList;
use App\Http\Pages\Production\ListPreview;
use App\Http\Requests\Production\ListRequest;
use App\Models\Production;
use Illuminate\Http\JsonResponse;

/** What a list would do, row by row; nothing is written. */
final class ListPreviewController
{
    public function __invoke(ListRequest $request, Production $production, PlanList $planning): JsonResponse
    {
        $list = $request->list();
        $plan = $planning->run($production, $request->specification(), $list->rows);

        return response()->json(new ListPreview($list, $plan));
    }
}
