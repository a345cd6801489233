<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Http\Pages\Render\RenderPage;
use App\Http\Requests\Render\RenderRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** How far a render is, and what a frame takes. */
final class RenderController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        return (new RenderPage($deliverable->loadForPage(), $reader))->render();
    }

    public function update(RenderRequest $request, Deliverable $deliverable): RedirectResponse
    {
        $deliverable->update([
            'frame_times' => $request->input('times'), 'frame_size' => $request->input('size'),
        ]);

        return back();
    }
}
