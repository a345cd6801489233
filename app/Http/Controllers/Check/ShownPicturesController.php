<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\CheckShown;
use App\Http\CheckedMovie;
use App\Language\Phrase;
use App\Models\Check;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Delivery\SeenPictures;

/** Pictures of a movie that the reader's browser played, to be held against its frames. */
final class ShownPicturesController
{
    private const LARGEST = 1_000_000;

    public function store(
        Request $request,
        #[CurrentUser] User $by,
        Check $check,
        string $part,
        CheckShown $checkShown,
    ): RedirectResponse {
        abort_if(strlen($request->getContent()) > self::LARGEST, 413);
        $movie = CheckedMovie::of($check, $part, $by);
        $pictures = $request->input('pictures');
        $seen = SeenPictures::of($movie->file, $movie->count ?? 0, is_array($pictures) ? $pictures : []);
        if ($seen === null) {
            throw ValidationException::withMessages(['pictures' => Phrase::of('These are no pictures of that movie.')]);
        }
        if ($check->deliverable->checks()->underWay()->exists()) {
            throw ValidationException::withMessages(
                ['pictures' => Phrase::of('A check of this deliverable is under way; wait for it or stop it.')],
            );
        }
        $checkShown->run($check, $part, $seen, $by);

        return back()->with('told', Phrase::of('Its pictures are held against the frames.'));
    }
}
