<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Changes\ChangeTogether;
use App\Http\Pages\Production\TogetherPage;
use App\Http\Requests\Production\SharedChangeRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** One change of many deliverables. */
final class SharedChangeController
{
    public function create(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new TogetherPage($production, $reader))->render();
    }

    public function store(
        SharedChangeRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        ChangeTogether $change,
    ): RedirectResponse {
        $deliverables = $request->deliverables($production);
        try {
            $done = $change->run($deliverables, $request->id(), $request->written(), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => $refused->getMessage()]);
        }

        return redirect()->route('together', $production->id)->with(
            'told',
            Phrase::counted($done, ':count deliverable changed.|:count deliverables changed.'),
        );
    }
}
