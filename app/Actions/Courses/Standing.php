<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\HandIn;
use Brick\Math\BigRational;
use DateTimeZone;
use PlainLedger\Core\Course\AssignmentRules;
use PlainLedger\Core\Course\Attempt;
use PlainLedger\Core\Course\Decimal;
use PlainLedger\Core\Course\Lateness;
use PlainLedger\Core\Course\Points;

/** How somebody stands in an assignment: every attempt judged by its rules as they are now, and the one that counts. */
final readonly class Standing
{
    public AssignmentRules $rules;

    /** @var list<Attempt> */
    public array $attempts;

    public ?Attempt $counting;

    /** @param  Deliverable  $deliverable  with its hand-ins and their marks, its extension and its production */
    public function __construct(public Deliverable $deliverable, Assignment $assignment)
    {
        $this->rules = $assignment->judgedBy();
        $zone = new DateTimeZone($deliverable->production->zone());
        $attempts = [];
        foreach ($deliverable->handIns as $handIn) {
            $late = Lateness::of(
                $handIn->counted_at->toDateTimeImmutable(),
                $deliverable->due_at?->toDateTimeImmutable(),
                $this->rules->late,
                $zone,
            );
            $points = Points::of($this->rules->points, $handIn->graded(), $late);
            $attempts[] = new Attempt($handIn->number, $points, $late, self::given($handIn));
        }
        $this->attempts = $attempts;
        // what was returned was not to be the last word
        $standing = array_filter($attempts, fn (Attempt $a): bool => $this->handIn($a)?->returned_at === null);
        $this->counting = Attempt::counting(
            array_values($standing === [] ? $attempts : $standing),
            $this->rules->counts,
        );
    }

    public static function of(Deliverable $deliverable, ?Assignment $assignment = null): self
    {
        $deliverable->loadMissing('handIns.marks.person', 'extension', 'production', 'specification');

        return new self($deliverable, $assignment ?? Assignment::of($deliverable->specification));
    }

    /**
     * Of everybody who has the assignment.
     *
     * @return list<self>
     */
    public static function all(Assignment $assignment): array
    {
        $all = Deliverable::query()->where('specification_id', $assignment->specification_id)->whereNull('put_away_at')
            ->with('owner', 'team', 'handIns.marks.person', 'extension', 'newest', 'production')
            ->orderBy('code')->get();

        return array_values($all->map(static fn (Deliverable $d): self => new self($d, $assignment))->all());
    }

    /**
     * Points that stand, by person; of a team each has the team's.
     *
     * @param  list<self>  $standings
     * @return array<int, string>
     */
    public static function byPerson(array $standings): array
    {
        $points = [];
        foreach ($standings as $standing) {
            $own = $standing->points();
            if ($own !== null) {
                $people = array_column($standing->deliverable->people(), 'id');
                $points = array_fill_keys($people, $own) + $points;
            }
        }

        return $points;
    }

    public function handIn(Attempt $attempt): ?HandIn
    {
        return $this->deliverable->handIns->first(static fn (HandIn $h): bool => $h->number === $attempt->number);
    }

    public function countingHandIn(): ?HandIn
    {
        return $this->counting === null ? null : $this->handIn($this->counting);
    }

    public function attemptOf(HandIn $handIn): ?Attempt
    {
        foreach ($this->attempts as $attempt) {
            if ($attempt->number === $handIn->number) {
                return $attempt;
            }
        }

        return null;
    }

    /** How often something may still be handed in; null: as often as one likes. */
    public function left(): ?int
    {
        return $this->rules->attempts === null
            ? null
            : max(0, $this->rules->attempts + ($this->deliverable->extension->attempts ?? 0) - count($this->attempts));
    }

    /** Points that stand, as they are shown; null where nothing was handed in, or those who mark do not agree yet. */
    public function points(): ?string
    {
        $handIn = $this->countingHandIn();

        return $handIn === null || $this->counting === null || self::isDisputed($handIn)
            ? null
            : Decimal::shown($this->counting->total());
    }

    /** Whether two who mark gave different points, and none is agreed on. */
    public static function isDisputed(HandIn $handIn): bool
    {
        return $handIn->agreed === null && count(self::givenBy($handIn)) > 1;
    }

    /** Points given by hand: those agreed on; else what all who gave any gave. */
    private static function given(HandIn $handIn): ?BigRational
    {
        if ($handIn->agreed !== null) {
            return Decimal::read($handIn->agreed);
        }
        $given = self::givenBy($handIn);

        return count($given) === 1 ? Decimal::read($given[0]) : null;
    }

    /** @return list<string> each once */
    private static function givenBy(HandIn $handIn): array
    {
        $given = [];
        foreach ($handIn->marks as $mark) {
            // nought is given too
            if ($mark->points !== null && ! in_array($mark->points, $given, true)) {
                $given[] = $mark->points;
            }
        }

        return $given;
    }
}
