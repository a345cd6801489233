<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\NamesPage;
use App\Http\Requests\Production\NameRequest;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** What settings are called in this production. */
final class NamesController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new NamesPage($production, $reader))->render();
    }

    public function update(NameRequest $request, Production $production): RedirectResponse
    {
        try {
            $production->alone(
                static fn (Production $now) => $now->keepFieldMap($request->changed($now->fieldMap())),
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['name' => $refused->getMessage()]);
        }

        return back();
    }
}
