<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Http\Pages\Board\MoviesPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** All movies that a production owes, finals and previews. */
final class MoviesController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new MoviesPage($production, $reader))->render();
    }
}
