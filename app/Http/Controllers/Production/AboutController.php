<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\AboutPage;
use App\Http\Requests\Production\AboutRequest;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Inertia\Response;

/** What a deliverable is called, who owes it and until when; and another like it. */
final class AboutController
{
    public function show(#[CurrentUser] User $reader, Deliverable $deliverable): Response
    {
        return (new AboutPage($deliverable->loadForPage(), $reader))->render();
    }

    public function update(AboutRequest $request, Deliverable $deliverable): RedirectResponse
    {
        DB::transaction(static function () use ($request, $deliverable): void {
            $deliverable->update($request->values());
            // what it owes follows from the specification
            Deliverable::query()->findOrFail($deliverable->id)->loadAsked()->keepParts();
        });

        return back()->with('told', Phrase::of('Saved.'));
    }

    /** Another one that is asked the same, of nobody yet. */
    public function copy(AboutRequest $request, Deliverable $deliverable): RedirectResponse
    {
        $copy = DB::transaction(static function () use ($request, $deliverable): Deliverable {
            $copy = $deliverable->production->everything()->create([
                ...$deliverable->only(['specification_id', 'title', 'due_at', 'values', 'overrides']),
                'code' => $request->string('code')->toString(),
            ]);
            $copy->loadAsked()->keepParts();

            return $copy;
        });

        return redirect()->route('about', $copy->id)->with('told', Phrase::of(
            ':code is in the book.',
            ['code' => $copy->code],
        ));
    }
}
