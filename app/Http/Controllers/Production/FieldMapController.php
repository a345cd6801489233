<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Downloads;
use App\Http\Requests\Production\FieldMapRequest;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as PlainResponse;

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

        return back()->with('told', Phrase::counted(
            count($map->meanings()),
            ':count name read from :file.|:count names read from :file.',
            ['file' => $request->name()],
        ));
    }
}
