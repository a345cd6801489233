<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Language\Phrase;
use App\Models\Assignment;
use App\Models\NoticeKind;
use App\Models\Specification;
use App\Notices\Tell;
use Illuminate\Support\Carbon;

/** From now on learners see their points, and what to do next time; or not any more. */
final readonly class ReleaseFeedback
{
    /** @throws CourseWorkRefused where those who mark do not agree on somebody's points */
    public function run(Specification $specification): void
    {
        $assignment = Assignment::of($specification);
        $handedIn = array_filter(
            Standing::all($assignment),
            static fn (Standing $s): bool => $s->countingHandIn() !== null,
        );
        $disputed = array_filter($handedIn, static fn (Standing $s): bool => $s->points() === null);
        if ($disputed !== []) {
            throw CourseWorkRefused::because(Phrase::counted(
                count($disputed),
                'Of :count hand-in two who mark gave different points. Agree on them first.'
                    .'|Of :count hand-ins two who mark gave different points. Agree on them first.',
            ));
        }
        $assignment->fill(['released_at' => Carbon::now()])->save();
        foreach ($handedIn as $standing) {
            $deliverable = $standing->deliverable;
            Tell::all(
                $deliverable->people(),
                NoticeKind::Message,
                $deliverable->production,
                "{$deliverable->code}: your points are there, and what to do next time",
                route('hand-in', $deliverable->id, false),
            );
        }
    }

    public function takeBack(Specification $specification): void
    {
        $assignment = Assignment::of($specification);
        if ($assignment->exists) {
            $assignment->update(['released_at' => null]);
        }
    }
}
