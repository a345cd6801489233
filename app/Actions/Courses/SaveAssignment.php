<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\Specification;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Course\AssignmentRules;

/** How an assignment is judged from now on, and when it is due for everybody who has no time of their own. */
final readonly class SaveAssignment
{
    public function run(Specification $specification, AssignmentRules $rules, ?Carbon $due, bool $anonymous): Assignment
    {
        return DB::transaction(static function () use ($specification, $rules, $due, $anonymous): Assignment {
            $assignment = Assignment::of($specification);
            $before = $assignment->due_at;
            $assignment->fill(['rules' => $rules->toArray(), 'due_at' => $due, 'anonymous' => $anonymous])->save();
            $deliverables = Deliverable::query()->where('specification_id', $specification->id)
                ->whereDoesntHave('extension', static fn ($q) => $q->whereNotNull('due_at'))->get();
            foreach ($deliverables as $deliverable) {
                // whoever was given another time elsewhere keeps it
                if ($deliverable->due_at === null || $before?->eq($deliverable->due_at) === true) {
                    $deliverable->update(['due_at' => $due]);
                }
            }

            return $assignment;
        });
    }
}
