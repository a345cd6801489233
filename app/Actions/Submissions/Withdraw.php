<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Audit\Chain;
use App\Language\Phrase;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Takes a sign-off back. Its record stays as it is, and says so. */
final readonly class Withdraw
{
    /** @throws SubmissionRefused */
    public function run(Submission $submission, string $why, User $by): void
    {
        DB::transaction(static function () use ($submission, $why, $by): void {
            $done = Submission::query()->whereKey($submission->id)->where('state', SubmissionState::Signed)->update([
                'state' => SubmissionState::Withdrawn, 'withdrawn_at' => Carbon::now(), 'withdrawn_why' => $why,
                'withdrawn_by_id' => $by->id,
            ]);
            if ($done !== 1) {
                throw SubmissionRefused::because(Phrase::of(
                    'This is no longer signed: it was withdrawn or replaced.',
                ));
            }
            Chain::add(
                $submission->deliverable_id,
                'withdrew',
                ['submission' => $submission->number, 'why' => $why],
                $by,
            );
        });
    }
}
