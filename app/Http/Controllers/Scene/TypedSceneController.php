<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\BringTypedSettings;
use App\Http\Pages\Scene\EnterScenePage;
use App\Http\Requests\Scene\TypedPart;
use App\Http\Requests\Scene\TypedSettingsRequest;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

/** Settings that are read off the screen and typed in. */
final class TypedSceneController
{
    public function create(Request $request, #[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        $part = TypedPart::of($request, $deliverable->loadForPage());

        return (new EnterScenePage($deliverable, $reader, $part))->render();
    }

    public function store(
        TypedSettingsRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        BringTypedSettings $bring,
    ): RedirectResponse {
        $typed = array_filter($request->typed(), static fn (string $value): bool => $value !== '');
        if ($typed === []) {
            throw ValidationException::withMessages(['settings' => Phrase::of('Nothing has been typed in yet.')]);
        }
        $deliverable->loadAsked();
        $bring->run($deliverable, $typed, TypedPart::of($request, $deliverable), $by);

        return redirect()->route('scene', $deliverable->id);
    }
}
