<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PracticeExercise;
use App\Models\User;

final class PracticeExercisePolicy
{
    /** Everybody of its production practises. */
    public function view(User $user, PracticeExercise $practiceExercise): bool
    {
        return $user->can('view', $practiceExercise->production);
    }

    public function decide(User $user, PracticeExercise $practiceExercise): bool
    {
        return $user->can('decide', $practiceExercise->production);
    }
}
