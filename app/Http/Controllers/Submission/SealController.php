<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Actions\Submissions\LostSeals;
use App\Actions\Submissions\SealSlice;
use App\Actions\Submissions\SubmissionRefused;
use App\Http\Pages\Submission\SealShown;
use App\Intake\SealSpool;
use App\Language\Phrase;
use App\Models\Submission;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** The reading of a submission's files: how far it is, once more, and no further. */
final class SealController
{
    public function show(Submission $submission): JsonResponse
    {
        LostSeals::breakOff();

        return response()->json(new SealShown($submission->refresh()));
    }

    /** Its files are read once more, and compared with what was signed. */
    public function store(
        Request $request,
        #[CurrentUser] User $by,
        Submission $submission,
    ): RedirectResponse|JsonResponse {
        if (! $submission->state->isSigned()) {
            throw SubmissionRefused::because(Phrase::of('It was never signed, so there is nothing to compare with.'));
        }
        $begun = Submission::query()->whereKey($submission->id)->whereNull('progress')->update([
            'progress' => json_encode(
                ['files' => 0, 'all_files' => 0, 'bytes' => 0, 'all_bytes' => 0, 'by' => $by->id],
                JSON_THROW_ON_ERROR,
            ),
            'seen_at' => Carbon::now(),
        ]);
        if ($submission->isOnOwnDisk()) {
            SealSpool::of($submission)->remove();
        } elseif ($begun === 1) {
            SealSlice::dispatch($submission->id);
        }

        return $request->expectsJson() && ! $request->header('X-Inertia')
            ? response()->json(['id' => $submission->id])
            : back();
    }

    /** Stopped: what was not signed yet is not signed. */
    public function destroy(Submission $submission): RedirectResponse
    {
        SealSpool::of($submission)->remove();
        $submission->state->isSigned()
            ? $submission->update(['progress' => null])
            : $submission->delete();

        return back();
    }
}
