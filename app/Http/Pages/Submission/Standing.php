<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Http\Moment;
use App\Models\Submission;
use App\Models\SubmissionState;

/** What became of a sign-off since it was made. */
final readonly class Standing
{
    /** Empty where it stands. */
    public static function inWords(Submission $submission): string
    {
        return match ($submission->state) {
            SubmissionState::Withdrawn => 'Withdrawn'
                .($submission->withdrawer === null ? '' : " by {$submission->withdrawer->name}")
                .($submission->withdrawn_at === null ? '' : ', '.Moment::told($submission->withdrawn_at))
                .': '.$submission->withdrawn_why,
            SubmissionState::Replaced => 'A later submission stands in its place.',
            default => '',
        };
    }
}
