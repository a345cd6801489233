<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Remedy\Tagging\TagPlan;
use PlainLedger\Core\Remedy\Tagging\Tags;
use PlainLedger\Core\Text\PlainSentence;

/** What a check says is only tagged otherwise in a movie, where that can be written into a copy. */
final readonly class MovieTags
{
    /** @param  array<string, mixed>  $check  as it is kept */
    public static function of(array $check, string $part): ?Tags
    {
        /** @var list<array{part: string, path: string, kind: string, fragmented?: bool|null}> $movies */
        $movies = $check['movies'] ?? [];
        $own = array_values(array_filter($movies, static fn (array $movie): bool => $movie['part'] === $part));
        $isTaggable = count($own) === 1 && ($own[0]['fragmented'] ?? null) !== true
            && in_array($own[0]['kind'], [Kind::Mp4->value, Kind::Mov->value], true);
        try {
            foreach ($isTaggable ? TagPlan::of($check) : [] as $work) {
                if ($work->path === $own[0]['path']) {
                    return $work->tags;
                }
            }
        } catch (PlainSentence) {
            // what cannot be written so is encoded again
        }

        return null;
    }
}
