<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\OpenedPicked;
use App\Http\PickedAnswer;
use App\Http\Requests\Check\PickedFolderRequest;
use App\Intake\PickedFolder;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** A folder on the visitor's own disk while it is checked: begun, asked about again after a break, given up. */
final class PickedFolderController
{
    /** @answers array{token: string} */
    public function store(
        PickedFolderRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
    ): JsonResponse {
        try {
            $whole = $request->boolean('whole');
            $folder = PickedFolder::begin($deliverable, $by, $request->folder(), $whole, $request->ahead());
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['folder' => $refused->getMessage()]);
        }

        return response()->json(['token' => $folder->token]);
    }

    public function show(Request $request, string $picked): JsonResponse
    {
        return response()->json(PickedAnswer::stillWanted(OpenedPicked::of($request, $picked)->folder));
    }

    public function destroy(Request $request, string $picked): JsonResponse
    {
        OpenedPicked::of($request, $picked)->folder->remove();

        return response()->json([]);
    }
}
