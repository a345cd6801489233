<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\ProductionPage;
use App\Http\Pages\Production\ProductionsPage;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;

final class ProductionController
{
    public function index(#[CurrentUser] User $reader): Response|RedirectResponse
    {
        $productions = $reader->productions()->orderBy('name')->get();

        return $productions->count() === 1
            ? redirect()->route('production', $productions->firstOrFail()->id)
            : (new ProductionsPage($productions, $reader))->render();
    }

    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new ProductionPage($production, $reader))->render();
    }
}
