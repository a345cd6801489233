<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\SetScenePart;
use App\Http\Pages\Scene\EntrySheet;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Which part settings make, where their format and name do not tell it rightly. */
final class ScenePartController
{
    public function update(
        Request $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        SetScenePart $set,
    ): RedirectResponse {
        $parts = EntrySheet::partsOf($deliverable->loadAsked());
        $given = $request->validate(
            ['part' => ['nullable', 'string', Rule::in($parts)]],
            ['part.in' => 'There is no such part.'],
        );
        abort_unless($deliverable->scenes()->exists(), 404);
        $set->run($deliverable, $given['part'] ?? null, $by);

        return back();
    }
}
