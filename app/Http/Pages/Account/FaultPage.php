<?php

declare(strict_types=1);

namespace App\Http\Pages\Account;

use App\Http\Pages\RendersPage;

/** Something that could not be shown. */
final readonly class FaultPage
{
    use RendersPage;

    public function __construct(public int $status, public ?string $says) {}
}
