<?php

declare(strict_types=1);

namespace App\Http\Controllers\Course;

use App\Actions\Courses\CourseWorkRefused;
use App\Actions\Courses\GiveToEverybody;
use App\Actions\Courses\GrantExtension;
use App\Actions\Courses\MarkHandIn;
use App\Actions\Courses\ReleaseFeedback;
use App\Actions\Courses\ReturnHandIn;
use App\Actions\Courses\SaveAssignment;
use App\Actions\Courses\Standing;
use App\Actions\Messages\WriteToLearners;
use App\Http\Pages\Course\AssignmentPage;
use App\Http\Requests\Course\AssignmentRequest;
use App\Http\Requests\Course\ExtensionRequest;
use App\Http\Requests\Course\LettersRequest;
use App\Http\Requests\Course\MarkManyRequest;
use App\Http\Requests\Course\ReturnRequest;
use App\Language\Phrase;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** An assignment: how it is judged, and how everybody stands in it. */
final class AssignmentController
{
    public function show(#[CurrentUser] User $reader, Specification $specification): Response
    {
        abort_unless($specification->production->kind === 'course', 404);

        return (new AssignmentPage($specification, $reader))->render();
    }

    public function update(
        AssignmentRequest $request,
        Specification $specification,
        SaveAssignment $save,
    ): RedirectResponse {
        $save->run(
            $specification,
            $request->judgedBy(),
            $request->due($specification),
            $request->boolean('anonymous'),
        );

        return back()->with('told', Phrase::of(
            'Everybody is judged this way from now on, also for what was handed in before.',
        ));
    }

    public function everybody(
        #[CurrentUser] User $by,
        Specification $specification,
        GiveToEverybody $give,
    ): RedirectResponse {
        return back()->with('told', Phrase::counted(
            $give->run($specification, $by),
            'It is made for :count learner.|It is made for :count learners.',
        ));
    }

    public function release(Specification $specification, ReleaseFeedback $release): RedirectResponse
    {
        $release->run($specification);

        return back()->with('told', Phrase::of('Learners see their points now, and were told so.'));
    }

    public function takeBack(Specification $specification, ReleaseFeedback $release): RedirectResponse
    {
        $release->takeBack($specification);

        return back()->with('told', Phrase::of('Points are no longer shown to learners.'));
    }

    public function extend(
        ExtensionRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        GrantExtension $grant,
    ): RedirectResponse {
        $due = $request->due($specification->production);
        $chosen = self::chosen($specification, $request->ids());
        foreach ($chosen as $deliverable) {
            $grant->run($deliverable, $due, $request->attempts(), $request->why(), $by);
        }

        return back()->with('told', Phrase::counted(
            $chosen->count(),
            'Granted to :count learner.|Granted to :count learners.',
        ));
    }

    public function return(
        ReturnRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        ReturnHandIn $return,
    ): RedirectResponse {
        $due = $request->due($specification->production);
        $returned = 0;
        foreach (self::chosen($specification, $request->ids()) as $deliverable) {
            $last = $deliverable->handIns->last();
            if ($last !== null && $last->returned_at === null) {
                $return->run($last->setRelation('deliverable', $deliverable), $request->why(), $due, $by);
                $returned++;
            }
        }

        return back()->with('told', Phrase::counted(
            $returned,
            ':count hand-in is returned for another attempt.|:count hand-ins are returned for another attempt.',
        ));
    }

    /** What stands of each that is chosen gets the same points, or the same remark. */
    public function mark(
        MarkManyRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        MarkHandIn $mark,
    ): RedirectResponse {
        $assignment = Assignment::of($specification);
        $marked = 0;
        foreach (self::chosen($specification, $request->ids()) as $deliverable) {
            $handIn = Standing::of($deliverable, $assignment)->countingHandIn();
            if ($handIn !== null) {
                $mark->more($handIn, $request->points(), $request->remark(), $by);
                $marked++;
            }
        }

        return back()->with('told', Phrase::counted($marked, ':count hand-in is marked.|:count hand-ins are marked.'));
    }

    public function write(
        LettersRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        WriteToLearners $write,
    ): RedirectResponse {
        $chosen = self::chosen($specification, $request->ids());
        $isAll = $chosen->count() === Deliverable::query()->where('specification_id', $specification->id)->count();
        if (! $isAll && Assignment::of($specification)->hidesNames()) {
            // the outbox names whom something was written to
            throw CourseWorkRefused::because(Phrase::of(
                'Names are kept from those who mark until points are told. Write to all of them.',
            ));
        }

        return back()->with('told', Phrase::counted(
            $write->run($specification->production, $chosen, $request->subject(), $request->body(), $by),
            'It is written to :count person, and stands in the outbox.'
                .'|It is written to :count people, and stands in the outbox.',
        ));
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Deliverable> those of this assignment
     */
    private static function chosen(Specification $specification, array $ids): Collection
    {
        return Deliverable::query()->where('specification_id', $specification->id)->whereKey($ids)
            ->with('handIns', 'extension', 'owner', 'team', 'production', 'specification')->orderBy('id')->get();
    }
}
