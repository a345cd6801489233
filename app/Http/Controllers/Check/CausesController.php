<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\Pages\Check\CausesPage;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** What can have gone wrong. */
final class CausesController
{
    public function __invoke(#[CurrentUser] User $reader): Response
    {
        return (new CausesPage($reader))->render();
    }
}
