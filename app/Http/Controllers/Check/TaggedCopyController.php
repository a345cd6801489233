<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedMovie;
use App\Http\Pages\Check\MovieTags;
use App\Models\Check;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Remedy\Tagging\TaggedCopy;
use PlainLedger\Core\Text\PlainSentence;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A copy of a movie with the tags that its check says are missing; the movie stays as it is. */
final class TaggedCopyController
{
    /** Larger ones are written where they lie, by the console program. */
    private const LARGEST = 4 << 30;

    public function show(#[CurrentUser] User $reader, Check $check, string $part): StreamedResponse
    {
        $tags = MovieTags::of($check->account(), $part) ?? abort(404);
        $movie = CheckedMovie::of($check, $part, $reader);
        abort_if($movie->source->size() > self::LARGEST, 404, 'It is too large to be sent; use the console program.');
        try {
            $pieces = TaggedCopy::of($movie->source, Probe::exact()->read($movie->source), $tags);
        } catch (PlainSentence|SourceUnreadable $refused) {
            abort(404, $refused->getMessage());
        }
        $send = static function () use ($pieces): void {
            foreach ($pieces as $piece) {
                echo $piece;
                flush();
            }
        };
        $name = preg_replace('~[^A-Za-z0-9_.-]~', '_', $movie->file->name);

        return response()->stream($send, 200, [
            'Content-Type' => 'application/octet-stream',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
