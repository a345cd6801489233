<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\PointAtName;
use App\Http\Requests\Scene\NameMeaningRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** A name that was not understood is pointed at what it stands for. */
final class NameMeaningController
{
    public function store(
        NameMeaningRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        PointAtName $point,
    ): RedirectResponse {
        // for the whole production only those decide who decide what is asked
        $forAll = $request->boolean('all') && $by->can('specify', $deliverable);
        $deliverable->loadAsked();
        try {
            $meaning = $request->meaning($deliverable->production->fieldMap());
            $point->run($deliverable, $meaning, $forAll, $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['point' => $refused->getMessage()]);
        }

        return redirect()->route('scene', $deliverable->id);
    }
}
