<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Language\Phrase;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Production;
use App\Models\Role;
use App\Models\Specification;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Course\CourseLearner;
use PlainLedger\Core\Course\FeedbackPhrases;
use PlainLedger\Core\Course\FilledGradebook;
use PlainLedger\Core\Course\Gradebook;
use PlainLedger\Core\Course\GradebookColumns;
use PlainLedger\Core\Course\NamedBy;

/** Puts points of an assignment into another system's gradebook, and learns that system's ids from it. */
final readonly class FillGradebook
{
    /** Headings of columns with ids. */
    private const OF_IDS = '~(^|[^a-z])(id|number|no|nr)\.?\s*$~i';

    /** The columns that are most likely meant, those that were chosen once first; null where none names anybody. */
    public function columns(Production $production, Specification $specification, Gradebook $book): ?GradebookColumns
    {
        return $book->guess(
            self::learners($production),
            $specification->title,
            GradebookColumns::fromArray($production->gradebook ?? []),
        );
    }

    /** What it would come to; nothing is kept. */
    public function tried(
        Production $production,
        Specification $specification,
        Gradebook $book,
        GradebookColumns $columns,
    ): FilledGradebook {
        return $book->fill($columns, self::learners($production), self::points($specification));
    }

    public function run(
        Production $production,
        Specification $specification,
        Gradebook $book,
        GradebookColumns $columns,
    ): FilledGradebook {
        $learners = self::learners($production);
        $filled = $book->fill(
            $columns,
            $learners,
            self::points($specification),
            $columns->remark === null ? [] : self::remarks($specification),
        );
        DB::transaction(static function () use ($production, $columns, $book, $learners): void {
            $production->update(['gradebook' => $columns->toArray()]);
            if ($columns->by !== NamedBy::Number) {
                self::keepNumbers($production, $book, $columns, $learners);
            }
        });

        return $filled;
    }

    /** @return list<CourseLearner> */
    public static function learners(Production $production): array
    {
        $members = $production->memberships()->where('role', Role::Learner)->with('user')->get();

        return array_values($members->map(static fn (Membership $m): CourseLearner => new CourseLearner(
            $m->user_id,
            $m->user->name,
            $m->user->handle,
            $m->user->email,
            $m->number,
        ))->sortBy('name')->all());
    }

    /** @return array<int, string> by person; of a team each has the team's */
    private static function points(Specification $specification): array
    {
        $assignment = Assignment::of($specification);
        if ($assignment->hidesNames()) {
            throw CourseWorkRefused::because(Phrase::of(
                'Names are kept from those who mark until points are told, so there is nothing to fill in yet.',
            ));
        }

        return Standing::byPerson(Standing::all($assignment));
    }

    /** @return array<int, string> what each is to do next time, by person */
    private static function remarks(Specification $specification): array
    {
        $phrases = FeedbackPhrases::of($specification->production->phrases ?? []);
        $remarks = [];
        foreach (Standing::all(Assignment::of($specification)) as $standing) {
            $handIn = $standing->countingHandIn();
            $next = array_map(static fn (array $c): string => $phrases->for($c['id']) ?? '', $handIn->causes ?? []);
            $text = implode(' ', array_unique(array_filter($next)));
            foreach ($handIn === null || $text === '' ? [] : $standing->deliverable->people() as $person) {
                $remarks[$person->id] = $text;
            }
        }

        return $remarks;
    }

    /**
     * What everybody is called in the first column that is headed as an id; nobody's is written over.
     *
     * @param  list<CourseLearner>  $learners
     */
    private static function keepNumbers(
        Production $production,
        Gradebook $book,
        GradebookColumns $columns,
        array $learners,
    ): void {
        $isId = static fn (string $heading): bool => preg_match(self::OF_IDS, $heading) === 1;
        $heading = array_values(array_filter($book->headings(), $isId))[0] ?? null;
        $numbers = $heading === null ? [] : $book->numbers($columns, $heading, $learners);
        foreach (count(array_unique($numbers)) === count($numbers) ? $numbers : [] as $person => $number) {
            $isTaken = $production->memberships()->where('number', $number)->exists();
            $member = $production->memberships()->where('user_id', $person)->whereNull('number')->first();
            if (! $isTaken && $member !== null && strlen($number) <= 120) {
                $member->update(['number' => $number]);
            }
        }
    }
}
