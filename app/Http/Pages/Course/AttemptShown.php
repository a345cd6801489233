<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\Standing;
use App\Http\Moment;
use App\Models\HandIn;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Course\Attempt;
use PlainLedger\Core\Course\Decimal;

/** One attempt, as its learner sees it. */
final readonly class AttemptShown
{
    public int $id;

    public int $number;

    public string $at;

    public ?string $by;

    public string $late;

    public bool $isLate;

    public Verdict $verdict;

    /** Whether a learner's points are those of this one. */
    public bool $counts;

    /** Null where points are not told yet. */
    public ?string $points;

    public string $of;

    public ?string $returned;

    public function __construct(HandIn $handIn, Attempt $attempt, Standing $standing, bool $showsPoints)
    {
        $this->id = $handIn->id;
        $this->number = $handIn->number;
        $this->at = Moment::withSeconds($handIn->handed_at);
        $this->by = $handIn->person?->name;
        $this->late = $attempt->lateness->says();
        $this->isLate = $attempt->lateness->isLate();
        $this->verdict = $handIn->verdict;
        $this->counts = $standing->counting === $attempt;
        $this->points = $showsPoints && ! Standing::isDisputed($handIn) ? Decimal::shown($attempt->total()) : null;
        $this->of = Decimal::shown($attempt->points->possible());
        $this->returned = $handIn->returned_at === null ? null : (string) $handIn->returned_why;
    }
}
