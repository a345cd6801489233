<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\MovieFacts;
use PlainLedger\Core\Media\Movie\PictureTrack;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Movie\SourceShown;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** The movies of a delivery, each with what it says of itself and what it was held against. */
final readonly class MovieLines
{
    /** Seconds: what is copied or unpacked together lies closer to each other. */
    private const SURELY_LATER = 60;

    public function __construct(private CheckReport $account) {}

    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        $movies = [];
        foreach ($this->account->check->subjects as $subject) {
            $instead = $subject->match?->instead;
            if ($instead !== null && $instead['kind']->isMovie()) {
                $movies[] = [
                    'part' => $subject->part->name,
                    'path' => Text::shown($instead['path']),
                    'kind' => $instead['kind']->value,
                ];
            }
            foreach ($subject->match->passes ?? [] as $pass) {
                $facts = $pass->isEmpty() ? null : $pass->frames->factsAt(0);
                if ($facts?->kind?->isMovie() === true) {
                    $movies[] = $this->line($subject, $pass, $facts);
                }
            }
        }

        return $movies;
    }

    /** @return array<string, mixed> */
    private function line(Subject $subject, PassMatch $pass, MediaFacts $facts): array
    {
        $sequence = $pass->takes[0]->sequence;
        $name = $sequence->sampleName();
        $movie = $facts->movie ?? new MovieFacts;
        $aspect = $facts->picture->pixelAspect;

        return [
            'part' => $subject->part->name,
            'path' => Text::shown(($sequence->folder() === '' ? '' : $sequence->folder().'/').$name),
            'kind' => $facts->kind?->value,
            'extension_agrees' => Extension::agrees($name, $facts->kind),
            'bytes' => $pass->frames->sizes[0],
            'width' => $facts->picture->width,
            'height' => $facts->picture->height,
            'pixel_aspect' => $aspect === null ? null : Fraction::writeFull($aspect),
            'rotation' => $movie->picture->rotation,
            'projection' => $facts->picture->projection,
            'scan' => $movie->picture->scan,
        ] + self::times($facts, $movie) + self::encoding($facts, $movie->picture) + [
            'index' => $movie->index,
            'fragmented' => $movie->isFragmented,
            'audio' => array_map(static fn (SoundTrack $s): array => $s->toArray(), $movie->sound),
            'complete' => $facts->wholeness->complete,
            'damage' => $facts->wholeness->reason,
        ] + $this->against($subject, $movie->shown, $pass->frames->times[0]);
    }

    /** @return array<string, mixed> */
    private static function times(MediaFacts $facts, MovieFacts $movie): array
    {
        $timing = $facts->timing;

        return [
            'rate' => $timing->rate === null ? null : (string) $timing->rate,
            'rate_constant' => $movie->picture->timing->isConstant,
            'uneven' => $movie->picture->timing->uneven === null ? null : (string) $movie->picture->timing->uneven,
            'count' => $timing->frameCount,
            'duration' => $timing->duration === null ? null : Fraction::write($timing->duration),
            'start_timecode' => $movie->startTimecode,
        ];
    }

    /** @return array<string, mixed> */
    private static function encoding(MediaFacts $facts, PictureTrack $track): array
    {
        return [
            'codec' => $facts->encoding->codec,
            'profile' => $track->profile,
            'chroma' => $facts->encoding->chroma,
            'bit_depth' => $facts->encoding->bitDepth,
            'alpha' => $facts->encoding->hasAlpha(),
            'bit_rate' => $track->bitRate,
            'keyframe_interval_max' => $track->order->longestInterval,
            'b_frames_max' => $track->order->mostBFrames,
            'keyframes' => $track->order->keyframes === null ? null : (string) $track->order->keyframes,
        ];
    }

    /**
     * @param  int  $made  when it was written, seconds since 1970
     * @return array<string, mixed> what it was held against, where it is made from another part
     */
    private function against(Subject $subject, ?SourceShown $shown, int $made): array
    {
        $source = $subject->source();
        if ($source === null) {
            return [];
        }
        $pass = $subject->deliveryMatch?->parts[$source->name]->passes[0] ?? null;

        return ['against' => [
            'part' => $source->name,
            'frames' => $pass === null ? '' : (string) $pass->present,
            ...self::seen($shown?->isSeen() === true ? $shown : null),
            'why_not' => $this->whyNot($subject),
            'newer' => $pass === null ? '' : (string) self::newer($pass, $made),
        ]];
    }

    /** Frames that were written after the movie was: it cannot show them, unless times were lost on some way. */
    private static function newer(PassMatch $pass, int $made): FrameRange
    {
        $newer = [];
        foreach ($pass->frames->times as $at => $time) {
            if ($time > $made + self::SURELY_LATER) {
                $newer[] = $pass->frames->numbers[$at];
            }
        }

        return FrameRange::fromNumbers($newer);
    }

    /** @return array<string, mixed> */
    private static function seen(?SourceShown $seen): array
    {
        return [
            'looked' => $seen === null ? 'counts' : 'pictures',
            'order' => $seen?->order,
            'shows' => $seen?->frames,
            'repeated' => $seen?->times,
            'through' => $seen?->isThroughBrowser() === true ? 'browser' : null,
            'apart' => $seen->apart ?? '',
        ];
    }

    private function whyNot(Subject $subject): ?string
    {
        foreach ($this->account->check->notChecked as $left) {
            if ($left->part === $subject->part->name && $left->id === RequirementId::CONTENT_SOURCE) {
                return $left->why;
            }
        }

        return null;
    }
}
