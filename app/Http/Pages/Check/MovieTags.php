<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Remedy\Tagging\TagPlan;
use PlainLedger\Core\Remedy\Tagging\Tags;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\PlainSentence;

/** What a check says is only tagged otherwise in a movie, where that can be written into a copy. */
final readonly class MovieTags
{
    /** Where one of these is unequal, another rate does not put it right. */
    private const OF_COUNT = [
        RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::CONTENT_SOURCE,
    ];

    /** @param  array<string, mixed>  $check  as it is kept */
    public static function of(array $check, string $part): ?Tags
    {
        /**
         * @var list<array{part: string, path: string, kind: string, fragmented?: bool|null, audio?: list<mixed>,
         *   rate_constant?: bool|null, start_timecode?: string|null}> $movies
         */
        $movies = $check['movies'] ?? [];
        $own = array_values(array_filter($movies, static fn (array $movie): bool => $movie['part'] === $part));
        if (count($own) !== 1 || ! self::isTaggable($own[0])) {
            return null;
        }
        $rate = self::isAlone($own[0]) ? self::rate($check, $part) : null;
        try {
            $tags = self::planned($check, $own[0]['path']);

            return $rate === null ? $tags : ($tags ?? new Tags)->with(RequirementId::TIME_RATE, $rate);
        } catch (PlainSentence) {
            // what cannot be written so is encoded again
            return null;
        }
    }

    /** @param  array{kind: string, fragmented?: bool|null}  $movie */
    private static function isTaggable(array $movie): bool
    {
        return ($movie['fragmented'] ?? null) !== true
            && in_array($movie['kind'], [Kind::Mp4->value, Kind::Mov->value], true);
    }

    /**
     * Whether nothing runs beside its pictures, which stand for the same time each.
     *
     * @param  array{audio?: list<mixed>, rate_constant?: bool|null, start_timecode?: string|null}  $movie
     */
    private static function isAlone(array $movie): bool
    {
        return ($movie['audio'] ?? []) === []
            && ($movie['start_timecode'] ?? null) === null
            && ($movie['rate_constant'] ?? null) === true;
    }

    /**
     * @param  array<string, mixed>  $check
     *
     * @throws PlainSentence
     */
    private static function planned(array $check, string $path): ?Tags
    {
        foreach (TagPlan::of($check) as $work) {
            if ($work->path === $path) {
                return $work->tags;
            }
        }

        return null;
    }

    /**
     * What is asked, where the rate alone is another: as many pictures as there should be would then play as they
     * should.
     *
     * @param  array<string, mixed>  $check
     */
    private static function rate(array $check, string $part): ?string
    {
        /** @var list<array{id: string, part: string, mark: string, required: string}> $entries */
        $entries = $check['entries'] ?? [];
        $asked = null;
        foreach ($entries as $entry) {
            $isWrong = $entry['part'] === $part && $entry['mark'] === Mark::Unequal->value;
            if ($isWrong && in_array($entry['id'], self::OF_COUNT, true)) {
                return null;
            }
            $asked = $isWrong && $entry['id'] === RequirementId::TIME_RATE ? $entry['required'] : $asked;
        }

        return $asked;
    }
}
