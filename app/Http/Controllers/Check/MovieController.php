<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\MoviePage;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** The movies of a deliverable. */
final class MovieController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        return (new MoviePage($deliverable->loadForPage(), $reader))->render();
    }
}
