<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Http\Pages\Render\RenderPlanPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** When everything is ready. */
final class RenderPlanController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new RenderPlanPage($production, $reader))->render();
    }
}
