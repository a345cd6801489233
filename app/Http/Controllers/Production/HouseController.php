<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Http\FriendlyMessage;
use App\Http\Pages\Production\HousePage;
use App\Http\Requests\Production\HouseRequirementRequest;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** What the house asks of everything. */
final class HouseController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new HousePage($production, $reader))->render();
    }

    public function update(
        HouseRequirementRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        ChangeRequirement $changing,
    ): RedirectResponse {
        try {
            $change = $changing->run(
                ChangedLayer::house($production),
                '',
                $request->key(),
                $request->written(),
                $by,
                $request->seen(),
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }

        return back()->with('change', $change?->id);
    }
}
