<?php

declare(strict_types=1);

namespace App\Http\Pages;

use Inertia\Inertia;
use Inertia\Response;

/** A view model that is a whole page: its class is called as the page, and its public properties are what it gets. */
trait RendersPage
{
    public function render(): Response
    {
        $page = substr((string) strrchr(self::class, '\\'), 1, -strlen('Page'));

        return Inertia::render($page, get_object_vars($this));
    }
}
