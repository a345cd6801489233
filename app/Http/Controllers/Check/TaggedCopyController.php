<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedMovie;
use App\Http\Pages\Check\MovieTags;
use App\Models\Check;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Remedy\Tagging\CopyWriter;
use PlainLedger\Core\Text\PlainSentence;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * A copy of a movie with the tags that its check says are missing; the movie stays as it is. It is written and read
 * again before any of it is sent.
 */
final class TaggedCopyController
{
    /** Larger ones are written where they lie, by the console program. */
    private const LARGEST = 2 << 30;

    private const FOLDER = 'tagged';

    /** Seconds after which a copy that nobody fetched is one too many. */
    private const KEPT = 3600;

    public function show(#[CurrentUser] User $reader, Check $check, string $part): BinaryFileResponse
    {
        $tags = MovieTags::of($check->account(), $part) ?? abort(404);
        $movie = CheckedMovie::of($check, $part, $reader);
        abort_if($movie->source->size() > self::LARGEST, 404, 'It is too large to be sent; use the console program.');
        $this->clear();
        $name = (string) preg_replace('~[^A-Za-z0-9_.-]~', '_', $movie->file->name);
        $copy = Str::uuid()->toString();
        Storage::makeDirectory(self::FOLDER);
        try {
            (new CopyWriter(Storage::path(self::FOLDER)))->write($movie->source, $copy, $tags);
        } catch (PlainSentence|SourceUnreadable $refused) {
            abort(404, $refused->getMessage());
        }

        return response()
            ->download(Storage::path(self::FOLDER."/{$copy}"), $name, ['Content-Type' => 'application/octet-stream'])
            ->deleteFileAfterSend();
    }

    private function clear(): void
    {
        foreach (Storage::files(self::FOLDER) as $old) {
            Storage::lastModified($old) < time() - self::KEPT ? Storage::delete($old) : null;
        }
    }
}
