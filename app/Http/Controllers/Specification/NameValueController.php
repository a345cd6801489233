<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Http\Requests\Specification\NameValueRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** What pieces of names stand for. */
final class NameValueController
{
    public function update(
        NameValueRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        ChangeRequirement $changing,
    ): RedirectResponse {
        $change = $changing->run(
            ChangedLayer::deliverable($deliverable),
            '',
            $request->key(),
            $request->written(),
            $by,
        );

        return back()->with('change', $change?->id);
    }
}
