<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\Productions\ForgetProduction;
use App\Http\Requests\People\LimitsRequest;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A production that is over: archived, deleted, brought back; and how much it may take while it is not. */
final class ArchiveController
{
    public function store(Production $production): RedirectResponse
    {
        $production->update(['archived_at' => now()]);

        return back()->with('told', "{$production->name} is archived: it can be read, and nothing in it changed.");
    }

    public function destroy(Production $production): RedirectResponse
    {
        $production->update(['archived_at' => null]);

        return back()->with('told', "{$production->name} is worked on again.");
    }

    /** For some days it can be brought back. Its files stay where they are. */
    public function delete(Request $request, Production $production): RedirectResponse
    {
        if ($request->input('code') !== $production->code) {
            throw ValidationException::withMessages(['code' => "To delete it, type {$production->code}."]);
        }
        $production->delete();

        return redirect()->route('administration')->with('told', "{$production->name} is deleted. For "
            .ForgetProduction::KEPT_DAYS.' days it can be brought back here; its files stay where they are.');
    }

    public function restore(int $production): RedirectResponse
    {
        $found = Production::onlyTrashed()->findOrFail($production);
        $found->restore();

        return back()->with('told', "{$found->name} is back.");
    }

    public function limits(LimitsRequest $request, Production $production): RedirectResponse
    {
        $production->update(['limits' => $request->limits()]);

        return back()->with('told', 'Saved.');
    }
}
