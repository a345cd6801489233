<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis\Causes;

use PlainLedger\Core\Checking\Side;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Diagnosis\Finding;
use PlainLedger\Core\Diagnosis\Fix;
use PlainLedger\Core\Diagnosis\MovieFound;
use PlainLedger\Core\Diagnosis\Situation;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/**
 * `stills-held`, `last-frame-left-out`, `handles-left-out`, `movie-short`, `movie-long`: a movie of other than so many
 * pictures, beside what is asked and beside the frames it is made from.
 */
final readonly class MovieLengthCauses implements CauseFamily
{
    private const LINES = [RequirementId::TIME_RANGE, RequirementId::TIME_COUNT, RequirementId::TIME_DURATION];

    /** What follows where the pictures were looked at too. */
    private const FOLLOWS = [RequirementId::CONTENT_SOURCE];

    /** One still that stands longer than this was not put together picture by picture. */
    private const LONGEST_HOLD = 1000;

    public function find(Situation $situation): iterable
    {
        $movie = MovieFound::in($situation);
        $count = $movie?->facts->timing->frameCount;
        $asked = $movie?->askedCount();
        if ($movie === null || $count === null || $asked === null || $asked < 1 || $count === $asked) {
            return;
        }
        $lines = array_values(array_filter(self::LINES, $situation->inFiles(...)));
        if ($lines === [] || $movie->isOnlyRate($count, $asked)) {
            return;
        }
        yield $this->finding($situation, $movie, $count, $asked);
    }

    private function finding(Situation $situation, MovieFound $movie, int $count, int $asked): Finding
    {
        $id = $this->cause($situation, $movie, $count, $asked);
        $says = match ($id) {
            CauseId::StillsHeld => $this->held($movie, $count, $asked),
            CauseId::HandlesLeftOut => "The movie has {$count} pictures, which is the range without its handles; "
                ."with them it has {$asked}.",
            CauseId::LastFrameLeftOut => "The movie has {$count} pictures, one less than the {$asked} asked: its last "
                .'or first one was left out.',
            default => "The movie has {$count} pictures, and {$asked} are asked: "
                .Text::count(abs($count - $asked), 'picture').($count < $asked ? ' too few.' : ' too many.'),
        };
        $evidence = ["the picture track has {$count} pictures"];
        $frames = $movie->sourceCount();
        if ($frames !== null) {
            $evidence[] = Text::count($frames, 'frame')." of {$movie->source?->name} ".($frames === 1 ? 'is' : 'are')
                .' there';
        }

        $isHeld = $id === CauseId::StillsHeld;
        $touches = [...self::LINES, ...self::FOLLOWS, ...($isHeld ? MoviePictureCauses::SHOW_STILLS_HELD : [])];
        $fix = $this->fix($situation, $movie, $asked);

        return Finding::of($id, Side::Files, $says, $evidence, $touches, [$fix])->asAlternative();
    }

    private function cause(Situation $situation, MovieFound $movie, int $count, int $asked): CauseId
    {
        [$head, $tail] = $situation->subject->part->handles();
        $stills = $movie->sourceCount() ?? $asked;

        return match (true) {
            $count === $asked - $head - $tail && $situation->subject->expected !== null => CauseId::HandlesLeftOut,
            $count === $asked - 1 && $asked > 2 => CauseId::LastFrameLeftOut,
            self::isHeld($count, $asked) || self::isHeld($count, $stills) => CauseId::StillsHeld,
            $count < $asked => CauseId::MovieShort,
            default => CauseId::MovieLong,
        };
    }

    private static function isHeld(int $count, int $stills): bool
    {
        if ($stills < 2 || $count < 2 * $stills - 1) {
            return false;
        }
        $times = intdiv($count + $stills - 1, $stills);

        // some leave the last still as it was
        return $times <= self::LONGEST_HOLD
            && ($count === $times * $stills || $count === $times * ($stills - 1) + 1);
    }

    private function held(MovieFound $movie, int $count, int $asked): string
    {
        $stills = self::isHeld($count, $asked) ? $asked : $movie->sourceCount() ?? $asked;
        $times = intdiv($count + $stills - 1, max(1, $stills));

        return "The movie has {$count} pictures, {$times} for each of {$stills} stills: each was held for {$times} "
            .'frames when they were brought in.';
    }

    private function fix(Situation $situation, MovieFound $movie, int $asked): Fix
    {
        $range = $movie->sourceRange();
        $from = $movie->source === null
            ? 'Make the movie again'
            : "Make the movie again from {$movie->source->name}".($range === '' ? '' : " {$range}");

        return Fix::encode(
            $situation->part(),
            RequirementId::TIME_COUNT,
            'the frame count',
            (string) $movie->facts->timing->frameCount,
            (string) $asked,
            null,
            "{$from}, each still one frame: {$asked} in all.",
        );
    }
}
