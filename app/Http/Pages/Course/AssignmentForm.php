<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Http\Moment;
use App\Models\Assignment;
use PlainLedger\Core\Course\CountingAttempt;
use PlainLedger\Core\Course\Needed;
use PlainLedger\Core\Course\Share;

/** How an assignment is judged, as a form has it. */
final readonly class AssignmentForm
{
    /** As a field for a day and a time has it, on the course's clock; empty for none. */
    public string $due;

    public string $zone;

    public int $grace;

    public string $percent;

    public string $most;

    public ?int $closes;

    public ?int $attempts;

    public CountingAttempt $counts;

    public Needed $needed;

    public Share $share;

    public string $bonus;

    public bool $anonymous;

    /** @var list<array{name: string, points: string}> by group, `*` for all that have none of their own */
    public array $groups;

    /** @var list<array{id: string, points: string}> lines with points of their own */
    public array $lines;

    /** @var list<array{id: string, label: string, group: string}> what is asked */
    public array $asked;

    /** @param  list<array{id: string, label: string, group: string}>  $asked */
    public function __construct(Assignment $assignment, array $asked)
    {
        $rules = $assignment->judgedBy();
        $this->zone = $assignment->specification->production->zone();
        $this->due = Moment::inZone($assignment->due_at, $this->zone);
        $late = $rules->late->toArray();
        $this->grace = $late['grace'];
        $this->percent = $late['percent'];
        $this->most = $late['most'];
        $this->closes = $late['closes'];
        $this->attempts = $rules->attempts;
        $this->counts = $rules->counts;
        $this->needed = $rules->needed;
        $scheme = $rules->points->toArray();
        $this->share = $rules->points->share;
        $this->bonus = $scheme['bonus'];
        $this->anonymous = $assignment->anonymous;
        $this->groups = array_map(
            static fn (string $name, string $points): array => ['name' => $name, 'points' => $points],
            array_map(strval(...), array_keys($scheme['groups'])),
            array_values($scheme['groups']),
        );
        $this->lines = array_map(
            static fn (string $id, string $points): array => ['id' => $id, 'points' => $points],
            array_map(strval(...), array_keys($scheme['lines'])),
            array_values($scheme['lines']),
        );
        $this->asked = $asked;
    }
}
