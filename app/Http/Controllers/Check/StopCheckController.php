<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Models\Check;
use App\Models\CheckState;
use Illuminate\Http\RedirectResponse;

/** Ends a check that is under way; nothing is kept of it. */
final class StopCheckController
{
    public function __invoke(Check $check): RedirectResponse
    {
        Check::query()->whereKey($check->id)->underWay()->update(['state' => CheckState::Stopped, 'progress' => null]);

        return redirect()->route('frames', $check->deliverable_id);
    }
}
