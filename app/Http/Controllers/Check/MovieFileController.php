<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedMovie;
use App\Http\MovieStream;
use App\Models\Check;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use PlainLedger\Core\Media\SourceUnreadable;

/** The very movie that was checked, for a player in the browser. */
final class MovieFileController
{
    private const TYPES = ['mp4' => 'video/mp4', 'mov' => 'video/mp4', 'webm' => 'video/webm', 'mkv' => 'video/webm'];

    public function show(Request $request, #[CurrentUser] User $reader, Check $check, string $part): Response
    {
        $movie = CheckedMovie::of($check, $part, $reader);
        $type = self::TYPES[$movie->kind->value ?? ''] ?? abort(404);
        try {
            return MovieStream::of($movie->source, $type, $request->header('Range'));
        } catch (SourceUnreadable) {
            abort(404);
        }
    }
}
