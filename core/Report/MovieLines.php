<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Subject;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Matching\PassMatch;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Movie\SoundTrack;
use PlainLedger\Core\Media\Movie\SourceShown;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Text\Text;

/** The movies of a delivery, each with what it says of itself and what it was held against. */
final readonly class MovieLines
{
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
        $track = $facts->movie?->picture;
        $aspect = $facts->picture->pixelAspect;

        return [
            'part' => $subject->part->name,
            'path' => Text::shown(($sequence->folder() === '' ? '' : $sequence->folder().'/').$name),
            'kind' => $facts->kind?->value,
            'extension_agrees' => Extension::agrees($name, $facts->kind),
            'bytes' => $pass->frames->sizes[0] ?? null,
            'width' => $facts->picture->width,
            'height' => $facts->picture->height,
            'pixel_aspect' => $aspect === null ? null : Fraction::writeFull($aspect),
            'rotation' => $track?->rotation,
            'projection' => $facts->picture->projection,
            'scan' => $track?->scan,
            'rate' => $facts->timing->rate === null ? null : (string) $facts->timing->rate,
            'rate_constant' => $track?->timing->isConstant,
            'count' => $facts->timing->frameCount,
            'duration' => $facts->timing->duration === null ? null : Fraction::write($facts->timing->duration),
            'start_timecode' => $facts->movie?->startTimecode,
            'codec' => $facts->encoding->codec,
            'profile' => $track?->profile,
            'chroma' => $facts->encoding->chroma,
            'bit_depth' => $facts->encoding->bitDepth,
            'alpha' => $facts->encoding->hasAlpha(),
            'bit_rate' => $track?->bitRate,
            'keyframe_interval_max' => $track?->order->longestInterval,
            'b_frames_max' => $track?->order->mostBFrames,
            'index' => $facts->movie?->index,
            'fragmented' => $facts->movie?->isFragmented,
            'audio' => array_map(static fn (SoundTrack $s): array => $s->toArray(), $facts->movie->sound ?? []),
            'complete' => $facts->wholeness->complete,
            'damage' => $facts->wholeness->reason,
        ] + $this->against($subject, $facts->movie?->shown);
    }

    /** @return array<string, mixed> what it was held against, where it is made from another part */
    private function against(Subject $subject, ?SourceShown $shown): array
    {
        $source = $subject->source();
        if ($source === null) {
            return [];
        }
        $pass = $subject->deliveryMatch?->parts[$source->name]->passes[0] ?? null;
        $whyNot = null;
        foreach ($this->account->check->notChecked as $left) {
            if ($left->part === $subject->part->name && $left->id === RequirementId::CONTENT_SOURCE) {
                $whyNot = $left->why;
            }
        }

        return ['against' => [
            'part' => $source->name,
            'frames' => $pass === null ? '' : (string) $pass->present,
            'looked' => $shown?->isSeen() === true ? 'pictures' : 'counts',
            'order' => $shown?->order,
            'repeated' => $shown?->isSeen() === true ? $shown->times : null,
            'why_not' => $whyNot,
        ]];
    }
}
