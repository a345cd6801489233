<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Board\BoardPage;
use App\Http\Pages\Production\ProductionPage;
use App\Http\Pages\Production\ProductionsPage;
use App\Http\Pages\Production\SpecificationsPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

final class ProductionController
{
    public function index(#[CurrentUser] User $reader): Response|RedirectResponse
    {
        $productions = $reader->productions()->orderByRaw('archived_at is not null, name')->get();

        return $productions->count() === 1
            ? redirect()->route('production', $productions->firstOrFail()->id)
            : (new ProductionsPage($productions, $reader))->render();
    }

    /** All of it for whoever decides; for everybody else what is theirs. */
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return $reader->can('decide', $production)
            ? (new BoardPage($production, $reader))->render()
            : (new ProductionPage($production, $reader))->render();
    }

    public function board(Production $production): RedirectResponse
    {
        return redirect()->route('production', $production->id, 301);
    }

    public function specifications(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new SpecificationsPage($production, $reader))->render();
    }
}
