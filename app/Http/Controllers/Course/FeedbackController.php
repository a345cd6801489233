<?php

declare(strict_types=1);

namespace App\Http\Controllers\Course;

use App\Actions\Courses\MarkHandIn;
use App\Actions\Courses\ReturnHandIn;
use App\Http\Pages\Course\FeedbackPage;
use App\Http\Requests\Course\MarkRequest;
use App\Http\Requests\Course\ReturnRequest;
use App\Http\WrittenFeedback;
use App\Language\Phrase;
use App\Models\HandIn;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as PlainResponse;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What is told of an attempt, and marking it. */
final class FeedbackController
{
    public function show(#[CurrentUser] User $reader, HandIn $handIn): Response
    {
        return (new FeedbackPage($handIn, $reader))->render();
    }

    public function file(#[CurrentUser] User $reader, HandIn $handIn, string $format): PlainResponse
    {
        return WrittenFeedback::of($handIn, $reader, $format);
    }

    /** Everybody's, for those who mark: as learners read it. */
    public function all(Specification $specification): StreamedResponse
    {
        return WrittenFeedback::all($specification);
    }

    public function mark(
        MarkRequest $request,
        #[CurrentUser] User $by,
        HandIn $handIn,
        MarkHandIn $mark,
    ): RedirectResponse {
        $mark->run($handIn, $request->points(), $request->remark(), $by);

        return back()->with('told', Phrase::of('Kept.'));
    }

    public function agree(
        MarkRequest $request,
        #[CurrentUser] User $by,
        HandIn $handIn,
        MarkHandIn $mark,
    ): RedirectResponse {
        $mark->agree($handIn, $request->points(), $by);

        return back();
    }

    public function return(
        ReturnRequest $request,
        #[CurrentUser] User $by,
        HandIn $handIn,
        ReturnHandIn $return,
    ): RedirectResponse {
        $return->run($handIn, $request->why(), $request->due($handIn->deliverable->production), $by);

        return back()->with('told', Phrase::of('It is returned, and another attempt granted.'));
    }
}
