<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedMovie;
use App\Models\Check;
use App\Models\User;
use App\Processes\ThumbnailProcess;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;

/** Small pictures out of a movie whose codec is decoded here. */
final class MoviePictureController
{
    private const LONGEST = 320;

    /** Days that a picture is kept, once it was decoded. */
    private const KEPT = 14;

    /** @param  int  $picture  counted from 0 */
    public function show(#[CurrentUser] User $reader, Check $check, string $part, int $picture): Response
    {
        $movie = CheckedMovie::of($check, $part, $reader);
        $key = 'movie-picture:'.hash('xxh128', implode(
            "\0",
            [$movie->folder, $movie->file->path(), $movie->file->size, $movie->file->modified, $picture],
        ));
        $kept = Cache::get($key);
        if (! is_string($kept)) {
            $png = ThumbnailProcess::make($movie->folder, $movie->file, self::LONGEST, picture: $picture);
            $kept = base64_encode($png ?? '');
            Cache::put($key, $kept, now()->addDays(self::KEPT));
        }
        abort_if($kept === '', 404);

        return response((string) base64_decode($kept, true))
            ->header('Content-Type', 'image/png')
            ->header('Cache-Control', 'private, max-age=600');
    }
}
