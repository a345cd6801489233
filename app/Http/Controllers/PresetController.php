<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Preset;
use App\Models\Production;
use App\Models\Specification;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** A production's own presets. */
final class PresetController
{
    public function store(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'title' => ['required', 'string', 'max:160'],
                'specification' => [
                    'required',
                    'integer',
                    Rule::exists('specifications', 'id')->where('production_id', $production->id),
                ],
            ],
            ['title.required' => 'A preset needs a title.'],
        );
        $data = Specification::query()->findOrFail((int) $given['specification'])->latest()->firstOrFail()->data;
        unset($data['values'], $data['title']);
        // of the same title there is one
        $production->presets()->updateOrCreate(['title' => $given['title']], ['document' => $data]);

        return back()->with('told', "“{$given['title']}” is among this production’s presets.");
    }

    public function rename(Request $request, Preset $preset): RedirectResponse
    {
        Gate::authorize('decide', Production::query()->findOrFail($preset->production_id));
        $given = $request->validate(
            ['title' => ['required', 'string', 'max:160']],
            ['title.required' => 'A preset needs a title.'],
        );
        $preset->update(['title' => $given['title']]);

        return back();
    }

    public function destroy(Preset $preset): RedirectResponse
    {
        Gate::authorize('decide', Production::query()->findOrFail($preset->production_id));
        $preset->delete();

        return back();
    }
}
