<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Changes\PreviewChange;
use App\Http\Pages\Production\PreviewedChange;
use App\Http\Requests\Production\SharedChangeRequest;
use App\Models\Production;
use Illuminate\Http\JsonResponse;

/** What a change of many deliverables would do; nothing is written. */
final class SharedChangePreviewController
{
    public function __invoke(
        SharedChangeRequest $request,
        Production $production,
        PreviewChange $preview,
    ): JsonResponse {
        $deliverables = $request->deliverables($production);

        $lines = $preview->run($deliverables, $request->id(), $request->written());

        return response()->json(['lines' => array_map(
            static fn (array $line): PreviewedChange => new PreviewedChange(...$line),
            $lines,
        )]);
    }
}
