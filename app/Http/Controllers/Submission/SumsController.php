<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Actions\Submissions\TakeSums;
use App\Http\Pages\Submission\SealShown;
use App\Http\Requests\Submission\SentSumsRequest;
use App\Intake\SealSpool;
use App\Models\Submission;
use Illuminate\Http\JsonResponse;
use PlainLedger\Core\Sealing\SealedFile;

/** Sums of files that stay on the visitor's own disk: which are wanted, and what they are. */
final class SumsController
{
    /**
     * By which algorithms, and what was told before it broke off: path, size, time in seconds.
     *
     * @answers array{algorithms: list<string>, known: list<array{string, int, int}>}
     */
    public function show(Submission $submission): JsonResponse
    {
        abort_unless($submission->isUnderWay() && $submission->isOnOwnDisk(), 404);

        return response()->json([
            'algorithms' => $submission->algorithms,
            'known' => array_map(
                static fn (SealedFile $file): array => [$file->path, $file->size, $file->modified],
                SealSpool::of($submission)->files(),
            ),
        ]);
    }

    public function store(SentSumsRequest $request, Submission $submission, TakeSums $take): JsonResponse
    {
        $request->boolean('all')
            ? $take->last($submission, $request->sums(), $request->progress(), $request->gone(), $request->ahead())
            : $take->more($submission, $request->sums(), $request->progress());

        return response()->json(new SealShown($submission->refresh()));
    }
}
