<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Pages\People\AdministrationPage;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Inertia\Response;

/** The installation: its people, its productions, and how it stands. */
final class AdministrationController
{
    public function show(Request $request, #[CurrentUser] User $reader): Response
    {
        $fresh = $request->session()->get(AccountController::FRESH);

        return (new AdministrationPage($reader, is_string($fresh) ? $fresh : null))->render();
    }
}
