<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\ChangeParts;
use App\Http\Requests\Specification\PartRequest;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** The parts of a specification. */
final class SpecificationPartController
{
    public function store(
        PartRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        ChangeParts $change,
    ): RedirectResponse {
        try {
            $change->run($specification, $request->changed(...), $request->names(), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['name' => $refused->getMessage()]);
        }

        return back();
    }
}
