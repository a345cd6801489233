<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Actions\Submissions\LostSeals;
use App\Actions\Submissions\SignOff;
use App\Actions\Submissions\Withdraw;
use App\Http\Pages\Submission\SubmissionPage;
use App\Http\Requests\Submission\SignOffRequest;
use App\Http\Requests\Submission\WithdrawRequest;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\Submission;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** What is handed over, and sealed to the very files that were checked. */
final class SubmissionController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        LostSeals::breakOff();

        return (new SubmissionPage($deliverable->loadForPage(), $reader))->render();
    }

    public function store(
        SignOffRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        SignOff $signOff,
    ): RedirectResponse|JsonResponse {
        $submission = $signOff->run(
            $deliverable,
            $request->check(),
            $request->note(),
            $request->answers(),
            $request->algorithms(),
            $by,
        );

        return $request->expectsJson() && ! $request->header('X-Inertia')
            ? response()->json(['id' => $submission->id])
            : redirect()->route('submission', $deliverable->id);
    }

    public function withdraw(
        WithdrawRequest $request,
        #[CurrentUser] User $by,
        Submission $submission,
        Withdraw $withdraw,
    ): RedirectResponse {
        $withdraw->run($submission, $request->why(), $by);

        return back()->with('told', Phrase::of(
            'The submission :number is withdrawn.',
            ['number' => $submission->number],
        ));
    }
}
