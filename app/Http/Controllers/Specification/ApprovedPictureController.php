<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\Requests\Specification\PictureRequest;
use App\Intake\ApprovedPictures;
use App\Models\Deliverable;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** Pictures that frames are to agree with. */
final class ApprovedPictureController
{
    /** @answers array{path: string} */
    public function store(PictureRequest $request, Deliverable $deliverable): JsonResponse
    {
        try {
            return response()->json(
                ['path' => ApprovedPictures::keep($deliverable->production, $request->picture())],
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['picture' => $refused->getMessage()]);
        }
    }
}
