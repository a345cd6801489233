<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Language\Phrase;
use App\Models\Invitation;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;

/** A link that is taken back before somebody has used it. */
final class InvitationController
{
    public function destroy(Production $production, Invitation $invitation): RedirectResponse
    {
        $invitation->delete();

        return back()->with('told', Phrase::of('The link is taken back.'));
    }
}
