<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Audit\Chain;
use App\Language\Phrase;
use App\Models\Extension;
use App\Models\HandIn;
use App\Models\NoticeKind;
use App\Models\User;
use App\Notices\Tell;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Gives something back for another attempt, which is granted with it. */
final readonly class ReturnHandIn
{
    /**
     * @param  Carbon|null  $due  for the next attempt; null: it is as late as this one was
     *
     * @throws CourseWorkRefused
     */
    public function run(HandIn $handIn, string $why, ?Carbon $due, User $by): void
    {
        $deliverable = $handIn->deliverable;
        DB::transaction(static function () use ($handIn, $deliverable, $why, $due, $by): void {
            $taken = HandIn::query()->whereKey($handIn->id)->whereNull('returned_at')
                ->whereNotExists(static fn ($q) => $q->from('hand_ins as later')
                    ->whereColumn('later.deliverable_id', 'hand_ins.deliverable_id')
                    ->whereColumn('later.number', '>', 'hand_ins.number'))
                ->update(['returned_at' => Carbon::now(), 'returned_why' => $why]);
            if ($taken !== 1) {
                throw CourseWorkRefused::because(Phrase::of('It was returned already, or there is a later attempt.'));
            }
            $extension = Extension::query()->firstOrNew(['deliverable_id' => $deliverable->id]);
            $extension->fill(['attempts' => $extension->attempts + 1, 'user_id' => $by->id]);
            if ($due !== null) {
                $extension->due_at = $due;
                $deliverable->update(['due_at' => $due]);
            }
            $extension->save();
            Chain::add($deliverable->id, 'returned', [
                'id' => "attempt {$handIn->number}", 'part' => $deliverable->code, 'reason' => $why,
            ], $by);
        });
        Tell::all(
            $deliverable->people(),
            NoticeKind::Message,
            $deliverable->production,
            "{$deliverable->code} is returned for another attempt: {$why}",
            route('hand-in', $deliverable->id, false),
        );
    }
}
