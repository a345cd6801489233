<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Submission;
use App\Models\User;

final class SubmissionPolicy
{
    public function view(User $user, Submission $submission): bool
    {
        return $user->can('view', $submission->deliverable);
    }

    /** It is withdrawn, verified, or a link to its record given. */
    public function sign(User $user, Submission $submission): bool
    {
        return $user->can('specify', $submission->deliverable);
    }
}
