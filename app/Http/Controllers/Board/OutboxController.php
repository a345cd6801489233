<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Actions\Messages\WriteMessages;
use App\Http\Pages\Board\OutboxPage;
use App\Http\Requests\Production\MessagesRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

/** Messages to the owners of what does not balance. */
final class OutboxController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new OutboxPage($production, $reader))->render();
    }

    public function store(
        MessagesRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        WriteMessages $write,
    ): RedirectResponse {
        if ($write->run($production, $request->deliverables(), $by) === 0) {
            throw ValidationException::withMessages(
                ['messages' => Phrase::of('There is nobody to write to: everything that has an owner balances.')],
            );
        }

        return redirect()->route('outbox', $production->id);
    }

    public function destroy(Production $production): RedirectResponse
    {
        $production->messages()->delete();

        return back();
    }
}
