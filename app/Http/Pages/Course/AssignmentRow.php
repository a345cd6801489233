<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Http\Moment;

/** How one learner, or a team, stands in an assignment, as those who mark see it. */
final readonly class AssignmentRow
{
    public int $id;

    public string $who;

    /** Null where names are kept from those who mark. */
    public ?string $code;

    public ?string $due;

    /** Whether another time than everybody's, or more attempts, were granted. */
    public bool $extended;

    public int $attempts;

    public bool $returned;

    /** Whether anything was checked yet. */
    public bool $checked;

    /** Null where nothing was handed in. */
    public ?CountingShown $counting;

    public function __construct(Standing $standing, Named $named)
    {
        $deliverable = $standing->deliverable;
        $this->id = $deliverable->id;
        $this->who = $named->of($deliverable);
        $this->code = $named->isHidden() ? null : $deliverable->code;
        $this->due = $deliverable->due_at === null ? null : Moment::due($deliverable->due_at);
        // what is returned is granted another attempt, and told as that
        $extension = $deliverable->extension;
        $this->extended = $extension !== null && ($extension->due_at !== null || $extension->why !== '');
        $this->attempts = count($standing->attempts);
        $this->returned = $deliverable->handIns->last()?->returned_at !== null;
        $this->checked = $deliverable->newest !== null;
        $handIn = $standing->countingHandIn();
        $this->counting = $handIn === null || $standing->counting === null
            ? null
            : new CountingShown($handIn, $standing->counting, $standing, $named);
    }
}
