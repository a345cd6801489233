<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\Pages\Specification\HandOutPage;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** What is asked, to be handed out. */
final class HandOutController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        return (new HandOutPage($deliverable->loadForPage(), $reader))->render();
    }
}
