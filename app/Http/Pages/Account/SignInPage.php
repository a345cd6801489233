<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;
use App\Models\User;

/** The way in. */
final readonly class SignInPage
{
    use RendersPage;

    /** The demo's sign-in is shown. */
    public bool $demo;

    /** Nobody has an account yet. */
    public bool $isEmpty;

    public function __construct()
    {
        $this->demo = (bool) config('ledger.demo');
        $this->isEmpty = ! User::query()->exists();
    }
}
