<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\OpenedPicked;
use App\Http\PickedAnswer;
use App\Intake\PickedFolder;
use App\Intake\SentSlices;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Slices of files on the visitor's own disk, as they were asked for. */
final class PickedSlicesController
{
    private const LARGEST = 9_000_000;

    public function store(Request $request, string $picked, PickedAnswer $answer): JsonResponse
    {
        $body = $request->getContent();
        abort_if(strlen($body) > self::LARGEST, 413);
        $take = static fn (PickedFolder $folder) => $folder->take(SentSlices::read($body, $folder->wanted()));

        return response()->json($answer->after(OpenedPicked::of($request, $picked), $request->user(), $take));
    }
}
