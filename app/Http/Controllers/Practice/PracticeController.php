<?php

declare(strict_types=1);

namespace App\Http\Controllers\Practice;

use App\Http\Pages\Practice\PracticePage;
use App\Http\Requests\Practice\ExerciseRequest;
use App\Language\Phrase;
use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Storage;
use Inertia\Response;
use PlainLedger\Demo\Practice\Blunder;
use PlainLedger\Demo\Practice\PracticeMaker;

/** What is set to practise on, and how it went. */
final class PracticeController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new PracticePage($production, $reader))->render();
    }

    public function store(
        ExerciseRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        PracticeMaker $maker,
    ): RedirectResponse {
        $values = $request->values();
        if ($values['kind'] === 'find') {
            self::expectTellable($values['title'], $values['mistakes'], $maker);
        }
        PracticeExercise::query()->create($values + ['production_id' => $production->id, 'user_id' => $by->id]);

        return back()->with('told', Phrase::of('“:title” is set.', ['title' => $values['title']]));
    }

    /**
     * Mistakes that hide each other are refused here, and not when somebody wants to begin.
     *
     * @param  list<string>  $mistakes
     */
    private static function expectTellable(string $title, array $mistakes, PracticeMaker $maker): void
    {
        $probe = 'practice/probe-'.bin2hex(random_bytes(6));
        Storage::makeDirectory($probe);
        try {
            $maker->make($title, array_map(Blunder::from(...), $mistakes), 'probe', Storage::path($probe));
        } finally {
            Storage::deleteDirectory($probe);
        }
    }

    public function destroy(PracticeExercise $exercise): RedirectResponse
    {
        foreach ($exercise->tries()->get() as $try) {
            /** @var PracticeTry $try */
            Storage::deleteDirectory($try->folder());
        }
        $exercise->delete();

        return redirect()->route('practice', $exercise->production_id)
            ->with('told', Phrase::of('“:title” is removed, with all answers.', ['title' => $exercise->title]));
    }
}
