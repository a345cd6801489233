<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\AcceptLine;
use App\Actions\Checks\TakeWaiverBack;
use App\Http\Requests\Check\WaiverRequest;
use App\Language\Phrase;
use App\Models\Check;
use App\Models\User;
use App\Models\Waiver;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Unequal lines that are accepted as they are. */
final class WaiverController
{
    public function store(
        WaiverRequest $request,
        #[CurrentUser] User $by,
        Check $check,
        AcceptLine $accept,
    ): RedirectResponse {
        $deliverable = $check->deliverable->loadAsked();
        $newest = $deliverable->checks()->done()->latest('id')->firstOrFail();
        if ($newest->id !== $check->id) {
            throw ValidationException::withMessages(
                ['reason' => Phrase::of('There is a newer check of this; look at that one first.')],
            );
        }
        $accepted = $accept->run($check, $request->isOf(...), $request->reason(), $request->forAll(), $by);
        if ($accepted === null) {
            throw ValidationException::withMessages(
                ['reason' => Phrase::of('This line is not unequal, so there is nothing to accept.')],
            );
        }

        return back();
    }

    /** Taken back: what was accepted by it is unequal again. */
    public function destroy(
        Request $request,
        #[CurrentUser] User $by,
        Waiver $waiver,
        TakeWaiverBack $takeBack,
    ): RedirectResponse {
        $seen = Check::query()->find($request->integer('check'));
        $takeBack->run($waiver, $seen?->deliverable, $by);

        return back();
    }
}
