<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Models\Submission;
use App\Models\SubmissionState;
use App\Queue\Waiting;
use Illuminate\Support\Carbon;

/** Seals that nobody works on any more: whoever did was ended before they were done. */
final readonly class LostSeals
{
    /** Seconds without a sign of life, where nothing waits in the queue. */
    private const PATIENCE = 90;

    public static function breakOff(): void
    {
        $before = Carbon::now()->subSeconds(self::PATIENCE)->toDateTimeString();
        $lost = Submission::query()->whereNotNull('progress')
            ->whereRaw('coalesce(seen_at, created_at) < ?', [$before])->get(['id', 'state']);
        // whoever waits for a turn is not lost
        foreach ($lost->isEmpty() || Waiting::count() > 0 ? [] : $lost as $submission) {
            $submission->update($submission->state === SubmissionState::Sealing
                ? ['progress' => null, 'state' => SubmissionState::Failed, 'fault' => SealSlice::BROKE_OFF]
                : ['progress' => null]);
        }
    }
}
