<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\OpenedPicked;
use App\Http\PickedAnswer;
use App\Http\Requests\Check\PickedNamesRequest;
use App\Intake\PickedFolder;
use Illuminate\Http\JsonResponse;

/** What files there are on the visitor's own disk. */
final class PickedNamesController
{
    public function store(PickedNamesRequest $request, string $picked, PickedAnswer $answer): JsonResponse
    {
        $take = static fn (PickedFolder $folder) => $folder->addNames($request->files(), $request->boolean('all'));

        return response()->json($answer->after(OpenedPicked::of($request, $picked), $request->user(), $take));
    }
}
