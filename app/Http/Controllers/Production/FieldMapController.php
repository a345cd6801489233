<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Downloads;
use App\Http\Requests\Production\FieldMapRequest;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Text\Text;

/** The names of a production as a file. */
final class FieldMapController
{
    public function show(Production $production): PlainResponse
    {
        $map = Downloads::pretty($production->fieldMap()->toArray($production->name))."\n";

        return Downloads::file($map, 'application/json', "{$production->code}-field-map.json");
    }

    /** Names of another production or house are laid over those that are here. */
    public function store(FieldMapRequest $request, Production $production): RedirectResponse
    {
        $map = $request->map();
        $production->alone(static fn (Production $now) => $now->keepFieldMap($now->fieldMap()->under($map)));

        return back()->with('told', Text::count(count($map->meanings()), 'name')." read from {$request->name()}.");
    }
}
