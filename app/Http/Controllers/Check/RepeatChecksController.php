<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\AskedLayers;
use App\Actions\Checks\RepeatChecks;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Everything that was checked by what was asked before, once more. */
final class RepeatChecksController
{
    public function __construct(private readonly RepeatChecks $repeat) {}

    public function specification(#[CurrentUser] User $by, Specification $specification): RedirectResponse
    {
        return back()->with('told', $this->repeat->run(AskedLayers::outOfDate($specification), $by));
    }

    public function production(#[CurrentUser] User $by, Production $production): RedirectResponse
    {
        return back()->with('told', $this->repeat->run(AskedLayers::outOfDate($production), $by));
    }
}
