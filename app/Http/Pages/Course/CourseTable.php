<?php

declare(strict_types=1);

namespace App\Http\Pages\Course;

use App\Actions\Courses\FillGradebook;
use App\Actions\Courses\Standing;
use App\Models\Assignment;
use App\Models\Production;
use PlainLedger\Core\Course\Decimal;

/** All learners of a course with their points in each assignment; of a team each has the team's. */
final readonly class CourseTable
{
    /** @var list<array{id: int, title: string, of: string|null, hidden: bool}> */
    public array $assignments;

    /** @var list<array{id: int, name: string, number: string|null, points: array<int, string>}> by assignment */
    public array $people;

    public function __construct(Production $production)
    {
        $specifications = $production->specifications()->whereNull('retired_at')->orderBy('title')->get();
        $assignments = $points = [];
        foreach ($specifications as $specification) {
            $assignment = Assignment::of($specification->setRelation('production', $production));
            $standings = Standing::all($assignment);
            $handedIn = array_values(array_filter($standings, static fn (Standing $s): bool => $s->counting !== null));
            $of = ($handedIn[0] ?? null)?->counting?->points->possible();
            $assignments[] = [
                'id' => $specification->id, 'title' => $specification->title,
                'of' => $of === null ? null : Decimal::shown($of),
                'hidden' => $assignment->hidesNames(),
            ];
            // points beside names would say whose is whose
            $points[$specification->id] = $assignment->hidesNames() ? [] : Standing::byPerson($standings);
        }
        $this->assignments = $assignments;
        $people = [];
        foreach (FillGradebook::learners($production) as $learner) {
            $own = [];
            foreach ($points as $specification => $byPerson) {
                if (isset($byPerson[$learner->id])) {
                    $own[$specification] = $byPerson[$learner->id];
                }
            }
            $people[] = [
                'id' => $learner->id, 'name' => $learner->name, 'number' => $learner->number, 'points' => $own,
            ];
        }
        $this->people = $people;
    }
}
