<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;

/** The way in. */
final readonly class SignInPage
{
    use RendersPage;

    /** The demo's sign-in is shown. */
    public bool $demo;

    public function __construct()
    {
        $this->demo = (bool) config('ledger.demo');
    }
}
