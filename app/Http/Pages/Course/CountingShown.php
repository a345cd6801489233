<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\Distribution;
use App\Actions\Courses\Named;
use App\Actions\Courses\Standing;
use App\Http\Moment;
use App\Models\HandIn;
use Brick\Math\BigRational;
use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Course\Attempt;
use PlainLedger\Core\Course\Decimal;

/** The hand-in that counts of one learner or team, as those who mark see it. */
final readonly class CountingShown
{
    public int $handIn;

    public string $at;

    /** Null where it came in time. */
    public ?string $late;

    public Verdict $verdict;

    /** Null where those who mark do not agree. */
    public ?string $points;

    public string $of;

    /** What somebody who looks may still give; null where nothing is open. */
    public ?string $open;

    /** Percent of the points, 0 to 100 and above; null where there are none, or none agreed on. */
    public ?int $percent;

    public bool $disputed;

    /** Whether somebody has marked it: given points, or said something of it. */
    public bool $marked;

    /** What most likely went wrong first. */
    public ?string $cause;

    public function __construct(HandIn $handIn, Attempt $attempt, Standing $standing, Named $named)
    {
        $this->handIn = $handIn->id;
        $this->at = Moment::told($handIn->handed_at);
        $this->late = $attempt->lateness->isLate() ? $attempt->lateness->says() : null;
        $this->verdict = $handIn->verdict;
        $this->points = $standing->points();
        $this->of = Decimal::shown($attempt->points->possible());
        $open = $attempt->given === null ? $attempt->points->open() : BigRational::zero();
        $this->open = $open->isZero() ? null : Decimal::shown($open);
        $this->percent = $this->points === null ? null : Distribution::percent($attempt);
        $this->disputed = Standing::isDisputed($handIn);
        $this->marked = $handIn->agreed !== null || $handIn->marks->isNotEmpty();
        $says = $handIn->causes[0]['says'] ?? null;
        $this->cause = $says === null ? null : $named->masked($says, $standing->deliverable);
    }
}
