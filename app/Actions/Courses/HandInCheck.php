<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Actions\Checks\AskedLayers;
use App\Actions\Checks\CheckReporting;
use App\Audit\Chain;
use App\Language\Phrase;
use App\Models\Assignment;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\GradedLine;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\Needed;

/** Hands in what was checked last: what counts of it is kept, however the check is thinned out later. */
final readonly class HandInCheck
{
    public function __construct(private CheckReporting $reporting) {}

    /**
     * @param  int  $check  the one that was looked at
     *
     * @throws CourseWorkRefused
     */
    public function run(Deliverable $deliverable, int $check, User $by): HandIn
    {
        // when it was asked for, and not when there was time for it
        $now = Carbon::now();
        $rules = Assignment::of($deliverable->specification)->judgedBy();
        $found = self::checkOf($deliverable, $rules);
        if ($found?->id !== $check) {
            throw CourseWorkRefused::because(Phrase::of('There is a newer check of this; look at that one first.'));
        }
        // worked out before the lock is taken: others hand in at the same time
        $lines = $this->lines($found, $rules);

        // of two at once the second finds what the first did
        $handIn = DB::transaction(static function () use ($deliverable, $found, $lines, $by, $now): HandIn {
            $deliverable->unsetRelations()->loadAsked();
            $standing = Standing::of($deliverable, Assignment::of($deliverable->specification));
            $newest = self::checkOf($deliverable, $standing->rules);
            $obstacle = $newest?->id === $found->id
                ? self::obstacle($standing, $newest, $now)
                : Phrase::of('There is a newer check of this; look at that one first.');
            if ($obstacle !== null) {
                throw CourseWorkRefused::because($obstacle);
            }
            $last = $deliverable->handIns->last();
            $made = $deliverable->handIns()->create([
                'check_id' => $found->id,
                'user_id' => $by->id,
                'number' => ($last->number ?? 0) + 1,
                // clocks may be set back; an attempt does not come before the one before it
                'handed_at' => $last !== null && $last->handed_at->isAfter($now) ? $last->handed_at : $now,
                'counted_at' => self::countedAt($standing, $last, $now),
                'verdict' => $found->verdict,
                'lines' => $lines,
                'causes' => self::causes($found),
            ]);
            Chain::add($deliverable->id, 'handed in', ['attempt' => $made->number, 'check' => $found->id], $by);

            return $made;
        }, 10);
        PrintHandIn::dispatch($handIn->id);

        return $handIn;
    }

    /** The newest check of what the assignment wants. */
    public static function checkOf(Deliverable $deliverable, AssignmentRules $rules): ?Check
    {
        return $deliverable->checks()->done()
            ->when($rules->needed->needsFiles(), static fn ($q) => $q->whereNotNull('delivery_id'))
            ->when($rules->needed->needsScene(), static fn ($q) => $q->whereNotNull('scene_id'))
            ->with('scene', 'delivery', 'revision')->latest('id')->first();
    }

    /** Why it cannot be handed in now, in words; null where it can. */
    public static function obstacle(Standing $standing, ?Check $check, Carbon $now): ?string
    {
        return match (true) {
            $standing->left() === 0 => Phrase::of('All attempts are used.'),
            self::isClosed($standing, $now) => Phrase::of('It is closed: nothing more is accepted.'),
            $standing->deliverable->checks()->underWay()->exists() => Phrase::of(
                'A check is under way. Hand in when it has ended.',
            ),
            $check === null => self::missing($standing->rules->needed),
            default => self::inCheck($standing->deliverable, $check),
        };
    }

    private static function missing(Needed $needed): string
    {
        return match ($needed) {
            Needed::Scene => Phrase::of('Check your settings first.'),
            Needed::Files => Phrase::of('Check your files first.'),
            Needed::Both => Phrase::of('Check your settings, then your files.'),
        };
    }

    private static function inCheck(Deliverable $deliverable, Check $check): ?string
    {
        return match (true) {
            AskedLayers::hasChangedSince($deliverable, $check) => Phrase::of(
                'Something else is asked since it was checked. Check it again.',
            ),
            $deliverable->handIns->last()?->check_id === $check->id => Phrase::of(
                'This very check is handed in. Check again to hand in anew.',
            ),
            default => null,
        };
    }

    private static function isClosed(Standing $standing, Carbon $now): bool
    {
        if ($standing->deliverable->handIns->last()?->returned_at !== null) {
            // whoever got it back was asked for another
            return false;
        }

        return Lateness::of(
            $now->toDateTimeImmutable(),
            $standing->deliverable->due_at?->toDateTimeImmutable(),
            $standing->rules->late,
            new \DateTimeZone($standing->deliverable->production->zone()),
        )->isClosed;
    }

    /** What was returned without a new due time is late by when it was handed in first, and no later. */
    private static function countedAt(Standing $standing, ?HandIn $last, Carbon $now): Carbon
    {
        $due = $standing->deliverable->due_at;
        $isRetry = $last?->returned_at !== null && ($due === null || $now->isAfter($due));

        return $isRetry ? $last->counted_at : $now;
    }

    /** @return list<array<string, string>> */
    private function lines(Check $check, AssignmentRules $rules): array
    {
        return array_map(
            static fn (GradedLine $line): array => $line->toArray(),
            GradedLine::among($this->reporting->asItWas($check), $rules->needed),
        );
    }

    /** @return list<array{id: string, says: string}> */
    private static function causes(Check $check): array
    {
        return array_map(
            static fn (array $cause): array => ['id' => $cause['id'], 'says' => $cause['says']],
            $check->summary['causes'] ?? [],
        );
    }
}
