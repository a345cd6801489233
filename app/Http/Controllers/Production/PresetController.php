<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Requests\Production\PresetRequest;
use App\Http\Requests\Production\PresetTitleRequest;
use App\Language\Phrase;
use App\Models\Preset;
use App\Models\Production;
use App\Models\Specification;
use Illuminate\Http\RedirectResponse;

final class PresetController
{
    public function store(PresetRequest $request, Production $production): RedirectResponse
    {
        $specification = Specification::query()->findOrFail($request->integer('specification'));
        $title = $request->string('title')->toString();
        $data = $specification->latest()->firstOrFail()->data;
        unset($data['values'], $data['title']);
        // of the same title there is one
        $production->presets()->updateOrCreate(['title' => $title], ['document' => $data]);

        return back()->with('told', Phrase::of('“:title” is among this production’s presets.', ['title' => $title]));
    }

    public function update(PresetTitleRequest $request, Preset $preset): RedirectResponse
    {
        $preset->update(['title' => $request->string('title')->toString()]);

        return back();
    }

    public function destroy(Preset $preset): RedirectResponse
    {
        $preset->delete();

        return back();
    }
}
