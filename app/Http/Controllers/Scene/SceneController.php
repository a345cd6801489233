<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\BringScene;
use App\Http\Pages\Scene\ScenePage;
use App\Http\Requests\Scene\SceneRequest;
use App\Models\Deliverable;
use App\Models\User;
use App\Queue\Waiting;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** The settings of a scene. */
final class SceneController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        Waiting::breakOffLost($deliverable->id);

        return (new ScenePage($deliverable->loadForPage(), $reader))->render();
    }

    public function store(
        SceneRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        BringScene $bring,
    ): RedirectResponse {
        [$name, $content] = $request->brought();
        try {
            $bring->run($deliverable->loadAsked(), $name, $content, $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['settings' => $refused->getMessage()]);
        }

        return redirect()->route('scene', $deliverable->id);
    }
}
