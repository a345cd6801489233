<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Requests\Check\TickRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Work that is ticked off. */
final class TickController
{
    public function store(TickRequest $request, #[CurrentUser] User $by, Deliverable $deliverable): RedirectResponse
    {
        $fix = $request->string('fix')->toString();
        if ($request->boolean('done')) {
            $deliverable->ticks()->firstOrCreate(['fix' => $fix], ['user_id' => $by->id]);
        } else {
            $deliverable->ticks()->where('fix', $fix)->delete();
        }

        return back();
    }
}
