<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Courses\GrantExtension;
use App\Actions\Courses\HandInCheck;
use App\Actions\Courses\MarkHandIn;
use App\Actions\Courses\ReturnHandIn;
use App\Actions\Courses\SaveAssignment;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Diagnosis\CauseId;

/** The demo's course, handed in by those who have files: some of it marked, one returned, one granted more time. */
final readonly class DemoCourse
{
    private const RULES = [
        'points' => [
            'groups' => ['Picture' => 20, 'Time' => 25, 'Format' => 20, 'Naming' => 15, '*' => 20], 'bonus' => 5,
        ],
        'late' => ['grace' => 15, 'percent' => '10', 'most' => '50', 'closes' => 7],
        'attempts' => 3,
        'counts' => 'best',
    ];

    public function __construct(
        private SaveAssignment $save,
        private HandInCheck $handIn,
        private MarkHandIn $mark,
        private ReturnHandIn $return,
        private GrantExtension $grant,
    ) {}

    public function run(Production $course, User $instructor): void
    {
        foreach ($course->specifications()->orderBy('id')->get() as $specification) {
            $owed = $specification->deliverables()->whereNotNull('owner_id')->with('owner')->orderBy('code')->get();
            if ($owed->count() > 1) {
                $this->assignment($specification, $owed, $instructor);
            }
        }
    }

    /** @param  Collection<int, Deliverable>  $owed */
    private function assignment(Specification $specification, Collection $owed, User $instructor): void
    {
        $due = $owed->max('due_at');
        $this->save->run(
            $specification,
            AssignmentRules::fromArray(self::RULES),
            $due instanceof Carbon ? $due : null,
            false,
        );
        $rules = Assignment::of($specification)->judgedBy();
        $done = [];
        foreach ($owed as $deliverable) {
            $check = HandInCheck::checkOf($deliverable, $rules);
            if ($check !== null && $deliverable->owner !== null) {
                $done[] = $this->hand($deliverable, $check->id, $deliverable->owner, count($done));
            }
        }
        $waiting = $owed->last(static fn (Deliverable $d): bool => $d->handIns()->doesntExist());
        $this->judge($done, $waiting, $instructor);
    }

    private function hand(Deliverable $deliverable, int $check, User $learner, int $before): HandIn
    {
        $handIn = $this->handIn->run($deliverable, $check, $learner);
        $at = Carbon::now()->subHours(30 - 3 * $before);
        $handIn->update(['handed_at' => $at, 'counted_at' => $at]);

        return $handIn;
    }

    /** @param  list<HandIn>  $done */
    private function judge(array $done, ?Deliverable $waiting, User $instructor): void
    {
        $first = $done[0] ?? null;
        $first === null
            || $this->mark->run($first, null, 'A calm, even light. The pointer reads well at every size.', $instructor);
        foreach ($done as $handIn) {
            if (in_array(CauseId::ScaleBelowFull->value, array_column($handIn->causes, 'id'), true)) {
                $this->return->run($handIn, 'Have another go, at the full size.', null, $instructor);
            }
        }
        if ($waiting !== null) {
            $this->grant->run($waiting, $waiting->due_at?->copy()->addDays(3), 0, 'was ill on Monday', $instructor);
        }
    }
}
