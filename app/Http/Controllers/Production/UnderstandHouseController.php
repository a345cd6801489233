<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Specification\Understanding;
use App\Http\Requests\Specification\UnderstandRequest;
use App\Models\Production;
use Illuminate\Http\JsonResponse;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Text\PlainSentence;

/** How a value that is typed for the house is understood. */
final class UnderstandHouseController
{
    /** @answers Understanding */
    public function __invoke(UnderstandRequest $request, Production $production): JsonResponse
    {
        $descriptor = $request->descriptor();
        if ($descriptor === null) {
            return response()->json(Understanding::unknown());
        }
        try {
            return response()->json(Understanding::of(
                Requirement::read($descriptor, $request->typed($descriptor), SetBy::House, 'Here'),
            ));
        } catch (PlainSentence $refused) {
            return response()->json(Understanding::refused($refused));
        }
    }
}
