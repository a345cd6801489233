<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Intake\UploadedArchive;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Security\SecurityLog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A deliverable that is out of the way: put back, or forgotten for good. */
final class PutAwayController
{
    public function store(Deliverable $deliverable): RedirectResponse
    {
        $deliverable->update(['put_away_at' => now()]);

        return redirect()->route('production', $deliverable->production_id)
            ->with('told', Phrase::of(
                ':code is put away. It stands at the end of this page, and can be put back.',
                ['code' => $deliverable->code],
            ));
    }

    public function destroy(Deliverable $deliverable): RedirectResponse
    {
        $deliverable->update(['put_away_at' => null]);

        return back()->with('told', Phrase::of(':code is back.', ['code' => $deliverable->code]));
    }

    /** With its checks and settings. Its files stay where they are. */
    public function forget(Request $request, Deliverable $deliverable): RedirectResponse
    {
        if ($deliverable->put_away_at === null || $request->input('code') !== $deliverable->code) {
            throw ValidationException::withMessages([
                'code' => Phrase::of(
                    'To delete it, put it away first, then type :code.',
                    ['code' => $deliverable->code],
                ),
            ]);
        }
        $deliverable->delete();
        UploadedArchive::forget($deliverable->id);
        SecurityLog::note('deliverable deleted', [
            'production' => $deliverable->production_id, 'deliverable' => $deliverable->id,
        ]);

        return redirect()->route('production', $deliverable->production_id)
            ->with('told', Phrase::of(
                ':code is deleted. Its files stay where they are.',
                ['code' => $deliverable->code],
            ));
    }
}
