<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Requests\Production\SavedViewRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\SavedView;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** Ways to see what is owed that somebody keeps for themselves. */
final class SavedViewController
{
    private const MOST = 30;

    public function store(
        SavedViewRequest $request,
        #[CurrentUser] User $reader,
        Production $production,
    ): RedirectResponse {
        $own = SavedView::query()->where('user_id', $reader->id)->where('production_id', $production->id);
        $name = trim($request->string('name')->toString());
        if ((clone $own)->where('name', '!=', $name)->count() >= self::MOST) {
            throw ValidationException::withMessages(['name' => Phrase::of(
                'At most :most are kept. Remove one first.',
                ['most' => self::MOST],
            )]);
        }
        SavedView::query()->updateOrCreate(
            ['production_id' => $production->id, 'user_id' => $reader->id, 'name' => $name],
            ['state' => $request->state()],
        );

        return back()->with('told', Phrase::of('“:name” is kept.', ['name' => $name]));
    }

    public function destroy(SavedView $view): RedirectResponse
    {
        $view->delete();

        return back()->with('told', Phrase::of('“:name” is removed.', ['name' => $view->name]));
    }
}
