<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\MakeDeliverable;
use App\Http\Pages\Production\NewDeliverablePage;
use App\Http\Requests\Production\NewDeliverableRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** A deliverable that is begun. */
final class DeliverableController
{
    public function create(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new NewDeliverablePage($production, $reader))->render();
    }

    public function store(
        NewDeliverableRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        MakeDeliverable $make,
    ): RedirectResponse {
        $made = $make->run($production, $request->deliverable(), $request->document($by), $by);

        return redirect()->route('specification', $made->id)->with('told', Phrase::of(
            ':code is in the book.',
            ['code' => $made->code],
        ));
    }
}
