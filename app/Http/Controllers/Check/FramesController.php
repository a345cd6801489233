<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\FramesPage;
use App\Models\Deliverable;
use App\Models\User;
use App\Queue\Waiting;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

/** What was delivered. */
final class FramesController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        Waiting::breakOffLost($deliverable->id);

        return (new FramesPage($deliverable->loadForPage(), $reader))->render();
    }

    /** Where a deliverable's own address leads. */
    public function lead(Deliverable $deliverable): RedirectResponse
    {
        return redirect()->route('frames', $deliverable->id);
    }
}
