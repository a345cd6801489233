<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Http\Pages\Board\BoardPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Response;

/** How all deliverables of a production stand. */
final class BoardController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new BoardPage($production, $reader))->render();
    }
}
