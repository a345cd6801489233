<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Actions\Changes\EditRequirement;
use App\Http\FriendlyMessage;
use App\Http\Pages\Specification\SpecificationPage;
use App\Http\Requests\Specification\RequirementRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** What is asked of a deliverable. */
final class AskedController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        return (new SpecificationPage($deliverable->loadForPage(), $reader))->render();
    }

    public function update(
        RequirementRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        EditRequirement $edit,
    ): RedirectResponse {
        try {
            $change = $edit->run($deliverable, $request->edit(), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }

        return back()->with('change', $change?->id);
    }
}
