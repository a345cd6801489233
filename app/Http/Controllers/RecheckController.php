<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Checks\AskedLayers;
use App\Actions\Checks\RepeatCheck;
use App\Actions\Checks\RepeatChecks;
use App\Models\Check;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Checks once more, by what is asked now. */
final class RecheckController
{
    /** The newest check of one deliverable. */
    public function one(Request $request, Check $check, RepeatCheck $repeat): RedirectResponse
    {
        Gate::authorize('check', $check->deliverable);
        abort_if($check->isUnderWay(), 404);
        if ($check->deliverable->checks()->underWay()->exists()) {
            throw ValidationException::withMessages(
                ['again' => 'A check of this deliverable is under way; wait for it or stop it.'],
            );
        }
        $new = $repeat->run($check, $this->person($request));

        return back()->with(
            'told',
            $new->isUnderWay() ? 'The files are being looked at.' : 'Checked again, by what is asked now.',
        );
    }

    /** Everything of a specification that was checked by what was asked before. */
    public function specification(
        Request $request,
        Specification $specification,
        RepeatChecks $repeat,
    ): RedirectResponse {
        Gate::authorize('decide', $specification->production);

        return back()->with('told', $repeat->run(AskedLayers::outOfDate($specification), $this->person($request)));
    }

    /** The same of a whole production. */
    public function production(Request $request, Production $production, RepeatChecks $repeat): RedirectResponse
    {
        Gate::authorize('decide', $production);

        return back()->with('told', $repeat->run(AskedLayers::outOfDate($production), $this->person($request)));
    }

    private function person(Request $request): User
    {
        /** @var User $person */
        $person = $request->user();

        return $person;
    }
}
