<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\PatternTrial;
use App\Http\Requests\Production\PatternTrialRequest;
use App\Models\Production;
use Illuminate\Http\JsonResponse;

/** How pasted lines of a log read by patterns that are being written. */
final class PatternTrialController
{
    /** Of a sample, so many lines are read. */
    private const MOST_LINES = 200;

    /** @answers \App\Http\Pages\Production\TriedPatterns */
    public function __invoke(PatternTrialRequest $request, Production $production): JsonResponse
    {
        $trial = new PatternTrial($request->patterns());
        $lines = preg_split('~\R~', $request->string('sample')->toString()) ?: [];

        return response()->json($trial->lines(array_slice($lines, 0, self::MOST_LINES)));
    }
}
