<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Audit\Chain;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\Extension;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Gives somebody another time, or more attempts, than everybody has. */
final readonly class GrantExtension
{
    /**
     * @param  Carbon|null  $due  null: due when everybody's is
     * @param  int  $attempts  more than the rules allow
     */
    public function run(Deliverable $deliverable, ?Carbon $due, int $attempts, string $why, User $by): Extension
    {
        return DB::transaction(static function () use ($deliverable, $due, $attempts, $why, $by): Extension {
            $everybodys = Assignment::of($deliverable->specification)->due_at;
            $had = $deliverable->extension?->due_at;
            $extension = Extension::query()->updateOrCreate(
                ['deliverable_id' => $deliverable->id],
                ['due_at' => $due, 'attempts' => $attempts, 'why' => $why, 'user_id' => $by->id],
            );
            // more attempts alone leave the time as it is
            if ($due !== null || $had !== null) {
                $deliverable->update(['due_at' => $due ?? $everybodys]);
            }
            Chain::add($deliverable->id, 'granted', [
                'due' => $due?->toIso8601ZuluString(), 'attempts' => $attempts, 'reason' => $why,
                'id' => 'more time or attempts', 'part' => $deliverable->code,
            ], $by);

            return $extension;
        });
    }
}
