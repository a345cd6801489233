<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\Productions\ForgetProduction;
use App\Http\Requests\People\LimitsRequest;
use App\Language\Phrase;
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

        return back()->with('told', Phrase::of(
            ':name is archived: it can be read, and nothing in it changed.',
            ['name' => $production->name],
        ));
    }

    public function destroy(Production $production): RedirectResponse
    {
        $production->update(['archived_at' => null]);

        return back()->with('told', Phrase::of(':name is worked on again.', ['name' => $production->name]));
    }

    /** For some days it can be brought back. Its files stay where they are. */
    public function delete(Request $request, Production $production): RedirectResponse
    {
        if ($request->input('code') !== $production->code) {
            throw ValidationException::withMessages(['code' => Phrase::of(
                'To delete it, type :code.',
                ['code' => $production->code],
            )]);
        }
        $production->delete();

        return redirect()->route('administration')->with('told', Phrase::of(
            ':name is deleted. For :kept_days days it can be brought back here; its files stay where they are.',
            ['name' => $production->name, 'kept_days' => ForgetProduction::KEPT_DAYS],
        ));
    }

    public function restore(int $production): RedirectResponse
    {
        $found = Production::onlyTrashed()->findOrFail($production);
        $found->restore();

        return back()->with('told', Phrase::of(':name is back.', ['name' => $found->name]));
    }

    public function limits(LimitsRequest $request, Production $production): RedirectResponse
    {
        $production->update(['limits' => $request->limits()]);

        return back()->with('told', Phrase::of('Saved.'));
    }
}
