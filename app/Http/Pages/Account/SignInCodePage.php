<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;

/** Where a one-time code is asked for. */
final readonly class SignInCodePage
{
    use RendersPage;
}
