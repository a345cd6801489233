<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Courses\CourseWorkRefused;
use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Language\Phrase;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\HandInMark;
use App\Models\User;
use PlainLedger\Core\Course\Feedback;
use PlainLedger\Core\Course\FeedbackPhrases;

/** The feedback of one attempt, as far as whoever reads it may see. */
final readonly class FeedbackTold
{
    public string $who;

    public bool $decides;

    public bool $hidesNames;

    public Feedback $feedback;

    /** @param  User|null  $reader  null: as its learner sees it */
    public function __construct(HandIn $handIn, ?User $reader)
    {
        $handIn->loadMissing('marks.person', 'person');
        $deliverable = $handIn->deliverable->loadMissing('owner', 'team', 'specification');
        $assignment = Assignment::of($deliverable->specification);
        $standing = Standing::of($deliverable, $assignment);
        $attempt = $standing->attemptOf($handIn)
            ?? throw CourseWorkRefused::because(Phrase::of('This attempt is no longer there.'));
        $named = Named::within($assignment);
        $this->decides = $reader?->can('specify', $deliverable) ?? false;
        $this->hidesNames = $this->decides && $named->isHidden();
        $this->who = $this->hidesNames ? $named->of($deliverable) : Named::people($deliverable);
        $causes = array_map(fn (array $cause): array => [
            'id' => $cause['id'],
            'says' => $this->hidesNames ? $named->masked($cause['says'], $deliverable) : $cause['says'],
        ], $handIn->causes);
        $remarks = array_values($handIn->marks->map(static fn (HandInMark $m): array => [
            'by' => $m->person->name, 'text' => $m->remark,
        ])->all());
        $this->feedback = Feedback::of(
            [
                'Learner' => $this->who,
                'Assignment' => $deliverable->specification->title,
                'Handed in' => Moment::told($handIn->handed_at).', '.$attempt->lateness->says(),
                'Attempt' => count($standing->attempts) === 1 ? '' : "{$handIn->number} of ".count($standing->attempts),
                'Returned' => (string) $handIn->returned_why,
            ],
            $attempt,
            Standing::isDisputed($handIn),
            $causes,
            FeedbackPhrases::of($deliverable->production->phrases ?? []),
            $remarks,
        );
    }
}
