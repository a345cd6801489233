<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\Requests\Specification\SheetLinkRequest;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\SheetLink;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Proofreader;

/** Links to a sheet, for somebody without a sign-in. */
final class SheetLinkController
{
    public function store(
        SheetLinkRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
    ): RedirectResponse {
        $draft = $deliverable->loadAsked()->draft();
        if (! $request->boolean('anyway') && Proofreader::standard()->read($draft) !== []) {
            throw ValidationException::withMessages([
                'days' => Phrase::of(
                    'What is asked contradicts itself. Settle it first, or say that it is to be handed out '
                        .'all the same.',
                ),
            ]);
        }
        $days = $request->integer('days');
        $link = SheetLink::query()->create([
            'deliverable_id' => $deliverable->id, 'user_id' => $by->id, 'expires_at' => Carbon::now()->addDays($days),
            'kind' => $request->kind(),
        ]);
        SecurityLog::note('link given', ['link' => $link->id, 'deliverable' => $deliverable->id, 'days' => $days]);

        return back();
    }

    public function destroy(SheetLink $link): RedirectResponse
    {
        $link->update(['revoked_at' => Carbon::now()]);
        SecurityLog::note('link taken back', ['link' => $link->id]);

        return back();
    }
}
