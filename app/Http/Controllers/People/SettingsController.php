<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Pages\People\SettingsPage;
use App\Http\Requests\People\IntakeRootRequest;
use App\Http\Requests\People\ProductionRequest;
use App\Http\Requests\People\RetentionRequest;
use App\Intake\RootState;
use App\Language\Phrase;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** What a production is called, and where its files lie. */
final class SettingsController
{
    public function show(Request $request, #[CurrentUser] User $reader, Production $production): Response
    {
        $secret = $request->session()->get(WebhookController::FRESH);

        return (new SettingsPage($production, $reader, is_string($secret) ? $secret : null))->render();
    }

    public function update(ProductionRequest $request, Production $production): RedirectResponse
    {
        $production->update($request->safe(['name', 'code', 'kind', 'time_zone']));

        return back()->with('told', Phrase::of('Saved.'));
    }

    /** How long checks are kept. */
    public function retain(RetentionRequest $request, Production $production): RedirectResponse
    {
        $production->update(['retention' => $request->retention()]);

        return back()->with('told', Phrase::of('Saved.'));
    }

    public function addRoot(IntakeRootRequest $request, Production $production): RedirectResponse
    {
        $root = $production->intakeRoots()->create($request->safe(['label', 'path']));
        SecurityLog::note('intake root added', ['production' => $production->id, 'root' => $root->id]);

        return back()->with('told', RootState::make($root) ? Phrase::of(
            'Added, and its folder is there.',
        ) : Phrase::of('Added. Its folder could not be made: make it by hand.'));
    }

    public function updateRoot(
        IntakeRootRequest $request,
        Production $production,
        IntakeRoot $intakeRoot,
    ): RedirectResponse {
        $intakeRoot->update($request->safe(['label', 'path']));
        SecurityLog::note('intake root changed', ['production' => $production->id, 'root' => $intakeRoot->id]);
        RootState::make($intakeRoot);

        return back()->with('told', Phrase::of('Saved.'));
    }

    /** The folder and what is in it stay where they are. */
    public function destroyRoot(Production $production, IntakeRoot $intakeRoot): RedirectResponse
    {
        $intakeRoot->delete();
        SecurityLog::note('intake root removed', ['production' => $production->id, 'root' => $intakeRoot->id]);

        return back()->with('told', Phrase::of('Removed. The folder itself stays as it is.'));
    }
}
