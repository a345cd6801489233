<?php

declare(strict_types=1);

namespace App\Http\Controllers\Practice;

use App\Actions\Practice\AnswerTry;
use App\Actions\Practice\MarkWritten;
use App\Actions\Practice\PractiseFolder;
use App\Http\Pages\Practice\TryPage;
use App\Http\Requests\Practice\AnswerRequest;
use App\Http\Requests\Practice\WrittenSpecificationRequest;
use App\Language\Phrase;
use App\Models\PracticeExercise;
use App\Models\PracticeTry;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Storage;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What somebody practises on. */
final class TryController
{
    public function show(#[CurrentUser] User $reader, PracticeExercise $exercise, PractiseFolder $folder): Response
    {
        return (new TryPage($exercise, $reader, $folder))->render();
    }

    /** The first one, or another of the same kind once the last was answered. */
    public function store(#[CurrentUser] User $by, PracticeExercise $exercise, PractiseFolder $folder): RedirectResponse
    {
        $last = self::newest($exercise, $by);
        if ($last === null || $last->marked_at !== null) {
            $try = $exercise->tries()->create(['user_id' => $by->id, 'word' => bin2hex(random_bytes(12))]);
            $exercise->isBrief() ? null : $folder->of($try);
            // they could be made again
            $last === null || Storage::deleteDirectory($last->folder());
        }

        return redirect()->route('try', $exercise->id);
    }

    public function answer(
        AnswerRequest $request,
        #[CurrentUser] User $by,
        PracticeExercise $exercise,
        AnswerTry $answerTry,
    ): RedirectResponse {
        abort_if($exercise->isBrief(), 404);
        $marking = $answerTry->run(self::newest($exercise, $by) ?? abort(404), $request->answer());

        return redirect()->route('try', $exercise->id)->with('told', Phrase::of(
            ':earned of :possible points.',
            ['earned' => $marking->earned(), 'possible' => $marking->possible()],
        ));
    }

    /** What was written for a described job: marked by proofreading it, and by what it lets pass. */
    public function write(
        WrittenSpecificationRequest $request,
        #[CurrentUser] User $by,
        PracticeExercise $exercise,
        MarkWritten $markWritten,
    ): RedirectResponse {
        abort_unless($exercise->isBrief(), 404);
        $marking = $markWritten->run(self::newest($exercise, $by) ?? abort(404), $request->lines());

        return redirect()->route('try', $exercise->id)->with('told', Phrase::of(
            ':earned of :possible points.',
            ['earned' => $marking->earned(), 'possible' => $marking->possible()],
        ));
    }

    /** Specification, settings and files, to be taken along. */
    public function files(
        #[CurrentUser] User $by,
        PracticeExercise $exercise,
        PractiseFolder $folder,
    ): BinaryFileResponse {
        abort_if($exercise->isBrief(), 404);
        $path = $folder->of(self::newest($exercise, $by) ?? abort(404));
        $zip = tempnam(sys_get_temp_dir(), 'practice') ?: abort(500);
        $archive = new \ZipArchive;
        $archive->open($zip, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ([...glob("{$path}/*.json") ?: [], ...glob("{$path}/files/*") ?: []] as $file) {
            $archive->addFile($file, substr($file, strlen($path) + 1));
        }
        $archive->close();

        return response()->download($zip, "practice-{$exercise->id}.zip")->deleteFileAfterSend();
    }

    private static function newest(PracticeExercise $exercise, User $by): ?PracticeTry
    {
        return $exercise->tries()->where('user_id', $by->id)->latest('id')->first();
    }
}
