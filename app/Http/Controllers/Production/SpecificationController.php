<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\RenameSpecification;
use App\Http\Pages\Production\RevisionsPage;
use App\Http\Requests\Specification\RevisionsRequest;
use App\Http\Requests\Specification\TitleRequest;
use App\Language\Phrase;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

/** A specification and its revisions. */
final class SpecificationController
{
    public function show(
        RevisionsRequest $request,
        #[CurrentUser] User $reader,
        Specification $specification,
    ): Response {
        return (new RevisionsPage($specification, $reader, $request->from(), $request->to()))->render();
    }

    public function update(
        TitleRequest $request,
        #[CurrentUser] User $by,
        Specification $specification,
        RenameSpecification $rename,
    ): RedirectResponse {
        $rename->run($specification, $request->string('title')->toString(), $by);

        return back();
    }

    /** Another that asks the same, followed by nothing yet. */
    public function copy(#[CurrentUser] User $by, Specification $specification): RedirectResponse
    {
        $title = self::freeTitle($specification);
        $copy = DB::transaction(static function () use ($specification, $title, $by): Specification {
            $copy = $specification->production->specifications()->create(['title' => $title]);
            $copy->revise(['title' => $title] + $specification->latest->data, $by);

            return $copy;
        });

        return redirect()->route('revisions', $copy->id)->with('told', Phrase::of(
            '“:title” is in the book.',
            ['title' => $title],
        ));
    }

    /** Retired, or taken back into use: what follows it stays as it is, and nothing new is offered it. */
    public function retire(Request $request, Specification $specification): RedirectResponse
    {
        $isRetired = $request->boolean('retired');
        $specification->update(['retired_at' => $isRetired ? now() : null]);

        return back()->with('told', $isRetired
            ? Phrase::of('“:title” is retired: it is offered for nothing new.', ['title' => $specification->title])
            : Phrase::of('“:title” is in use again.', ['title' => $specification->title]));
    }

    public function destroy(Specification $specification): RedirectResponse
    {
        $followers = $specification->deliverables()->count();
        if ($followers > 0) {
            throw ValidationException::withMessages(['refused' => Phrase::counted(
                $followers,
                '“:title” is followed by :count deliverable, also counting what was put away. Retire it instead.|'
                    .'“:title” is followed by :count deliverables, also counting what was put away. Retire it instead.',
                ['title' => $specification->title],
            )]);
        }
        $specification->delete();

        return redirect()->route('specifications', $specification->production_id)
            ->with('told', Phrase::of('“:title” is deleted.', ['title' => $specification->title]));
    }

    private static function freeTitle(Specification $specification): string
    {
        $base = Str::limit("{$specification->title}, copy", 150, '');
        $title = $base;
        for ($n = 2; $specification->production->specifications()->where('title', $title)->exists(); $n++) {
            $title = "{$base} {$n}";
        }

        return $title;
    }
}
