<?php

declare(strict_types=1);

namespace App\Http\Controllers\Course;

use App\Actions\Courses\CourseWorkRefused;
use App\Actions\Courses\FillGradebook;
use App\Http\Downloads;
use App\Http\Pages\Course\GradebookPage;
use App\Http\Pages\Course\TriedGradebook;
use App\Http\Requests\Course\GradebookRequest;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Inertia\Response;
use PlainLedger\Core\Course\FeedbackPhrases;

/** A gradebook of another system, with this course's points in it. */
final class GradebookController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        abort_unless($production->kind === 'course', 404);

        return (new GradebookPage($production, $reader))->render();
    }

    /** What is understood of it, and what filling it would do; nothing is kept. */
    public function read(GradebookRequest $request, Production $production, FillGradebook $fill): JsonResponse
    {
        $assignment = $request->assignment();
        $book = $request->gradebook();
        $columns = $request->columns() ?? $fill->columns($production, $assignment, $book);

        return response()->json(new TriedGradebook(
            $book,
            $columns,
            $columns === null ? null : $fill->tried($production, $assignment, $book, $columns),
        ));
    }

    /** The very file, filled; the columns are kept for the next time. */
    public function fill(GradebookRequest $request, Production $production, FillGradebook $fill): PlainResponse
    {
        $columns = $request->columns()
            ?? throw CourseWorkRefused::because(Phrase::of('Say which column names the learners.'));
        $filled = $fill->run($production, $request->assignment(), $request->gradebook(), $columns);

        return Downloads::file($filled->bytes, 'text/csv', $request->name());
    }

    /** What is said of causes in the course's own words. */
    public function phrases(Request $request, Production $production): RedirectResponse
    {
        $given = $request->validate(
            ['phrases' => ['present', 'array', 'max:200'], 'phrases.*' => ['nullable', 'string', 'max:600']],
            ['phrases*' => Phrase::of('A phrase has at most 600 letters.')],
        )['phrases'];
        $production->update(['phrases' => FeedbackPhrases::of((array) $given + ($production->phrases ?? []))->own]);

        return back()->with('told', Phrase::of('Kept.'));
    }
}
