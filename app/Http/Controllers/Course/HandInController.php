<?php

declare(strict_types=1);

namespace App\Http\Controllers\Course;

use App\Actions\Courses\GrantExtension;
use App\Actions\Courses\HandInCheck;
use App\Actions\Courses\KeepTeam;
use App\Http\Pages\Course\HandInPage;
use App\Http\Requests\Course\ExtensionRequest;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** A learner's one page of an assignment: what is asked, what is wrong, and handing it in. */
final class HandInController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        abort_unless($deliverable->production->kind === 'course', 404);

        return (new HandInPage($deliverable->loadForPage(), $reader))->render();
    }

    public function store(
        Request $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        HandInCheck $handIn,
    ): RedirectResponse {
        abort_unless($deliverable->production->kind === 'course', 404);
        $made = $handIn->run($deliverable, $request->integer('check'), $by);

        return redirect()->route('hand-in', $deliverable->id)->with('told', Phrase::of(
            'Attempt :number is handed in.',
            ['number' => $made->number],
        ));
    }

    public function extend(
        ExtensionRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        GrantExtension $grant,
    ): RedirectResponse {
        $due = $request->due($deliverable->production);
        $grant->run($deliverable, $due, $request->attempts(), $request->why(), $by);

        return back()->with('told', Phrase::of('It is granted.'));
    }

    public function team(
        Request $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        KeepTeam $keep,
    ): RedirectResponse {
        $members = $request->validate(
            ['members' => ['present', 'array', 'max:30'], 'members.*' => ['integer']],
            ['members*' => Phrase::of('Choose who answers for it too.')],
        )['members'];
        $keep->run($deliverable, array_values(array_map(intval(...), (array) $members)), $by);

        return back();
    }
}
