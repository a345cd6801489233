<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\ChangeMany;
use App\Http\Requests\Production\ManyDeliverablesRequest;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;

/** Many deliverables that are given the same owner, due time or specification. */
final class ManyDeliverablesController
{
    public function __invoke(
        ManyDeliverablesRequest $request,
        Production $production,
        ChangeMany $changeMany,
    ): RedirectResponse {
        $changed = $changeMany->run($production, $request->ids(), $request->values());

        return back()->with(
            'told',
            Phrase::counted($changed, ':count deliverable changed.|:count deliverables changed.'),
        );
    }
}
