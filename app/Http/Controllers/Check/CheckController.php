<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\CheckFolder;
use App\Http\OpenedFolder;
use App\Http\Pages\Check\CheckPage;
use App\Http\Requests\Check\CheckFolderRequest;
use App\Models\Check;
use App\Models\CheckState;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** A check: begun, and looked at later. */
final class CheckController
{
    public function store(
        CheckFolderRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        CheckFolder $check,
    ): RedirectResponse {
        try {
            $check->run($deliverable, OpenedFolder::of($request, $deliverable, $by), $request->depth(), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['below' => $refused->getMessage()]);
        }

        return redirect()->route('frames', $deliverable->id);
    }

    public function show(#[CurrentUser] User $reader, Check $check): Response|RedirectResponse
    {
        if ($check->state !== CheckState::Done) {
            return redirect()->route('frames', $check->deliverable_id);
        }
        $check->deliverable->loadForPage();

        return (new CheckPage($check, $reader))->render();
    }
}
