<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\Movie\MovieFacts;

/** What a file says of itself. A fact it does not tell is null. */
final readonly class MediaFacts
{
    /** @param  MovieFacts|null  $movie  of files that are shown or heard in time: null of still pictures */
    public function __construct(
        public ?Kind $kind,
        public PictureFacts $picture = new PictureFacts,
        public PictureEncoding $encoding = new PictureEncoding,
        public TimingFacts $timing = new TimingFacts,
        public FileLabels $labels = new FileLabels,
        public Wholeness $wholeness = new Wholeness,
        public ?MovieFacts $movie = null,
    ) {}

    public static function damaged(?Kind $kind, Damage $damage, string $reason): self
    {
        return new self($kind, wholeness: Wholeness::damaged($damage, $reason));
    }

    public function withDamage(Damage $damage, string $reason): self
    {
        return $this->with(['wholeness' => Wholeness::damaged($damage, $reason)]);
    }

    public function withMovie(MovieFacts $movie): self
    {
        return $this->with(['movie' => $movie]);
    }

    /** Its header was read; whether the rest is whole was more than there is time for. */
    public function withUnread(string $reason): self
    {
        return $this->with(['wholeness' => Wholeness::unread($reason)]);
    }

    /** The same of another moment: what differs from frame to frame is its own, all else is shared. */
    public function ofMoment(?string $timecode): self
    {
        if ($timecode === $this->timing->timecode) {
            return $this;
        }
        $timing = $this->timing;

        return $this->with(['timing' => new TimingFacts(
            $timing->rate,
            $timing->frameCount,
            $timing->frameNumber,
            $timecode,
            $timing->duration,
        )]);
    }

    /** Whether one was made of the other, so that only their moments may differ. Quick, and no more than that. */
    public function isOfSame(self $other): bool
    {
        return $this === $other || (
            $this->picture === $other->picture
            && $this->encoding === $other->encoding
            && $this->labels === $other->labels
            && $this->wholeness === $other->wholeness
            && $this->timing->rate === $other->timing->rate
            && $this->timing->duration === $other->timing->duration
            && $this->kind === $other->kind
        );
    }

    /** With another named fact worth showing. */
    public function withNote(string $name, string $says): self
    {
        $labels = $this->labels;

        return $this->with([
            'labels' => new FileLabels(
                $labels->camera,
                $labels->layers,
                [...$labels->header, $name => $says],
                $labels->alphaKind,
            ),
        ]);
    }

    /** Why it is not known whether it is whole; null where that is known, or was not asked. */
    public function unread(): ?string
    {
        return $this->wholeness->unreadReason();
    }

    public function damage(): ?Damage
    {
        return $this->wholeness->damage;
    }

    /** The same of another frame: what differs from frame to frame is its own, all else is shared. */
    public function ofFrame(?int $number, ?string $timecode): self
    {
        $timing = $this->timing;

        return $number === null && $timecode === null
            ? $this
            : $this->with([
                'timing' => new TimingFacts(
                    $timing->rate,
                    $timing->frameCount,
                    $number,
                    $timecode,
                    $timing->duration,
                ),
            ]);
    }

    /** Without the texts that differ from frame to frame, so that equal frames share one. */
    public function withoutHeader(): self
    {
        return $this->labels->header === [] && $this->timing->frameNumber === null && $this->timing->timecode === null
            ? $this
            : $this->with(['labels' => $this->labels->withoutHeader(), 'timing' => $this->timing->ofEveryFrame()]);
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        /** @phpstan-ignore argument.type (the keys are this class's own properties) */
        return new self(...$changes + get_object_vars($this));
    }

    /** Whether its picture and header can be believed. */
    public function isWhole(): bool
    {
        return $this->kind !== null && $this->damage() === null;
    }

    /**
     * The one line of `probe --json`.
     *
     * @return array<string, mixed>
     */
    public function toArray(string $path, ?bool $extensionAgrees, int $bytes): array
    {
        $rate = $this->timing->rate;
        $aspect = $this->picture->pixelAspect;

        return [
            'path' => $path,
            'kind' => $this->kind?->value,
            'extension_agrees' => $extensionAgrees,
            'bytes' => $bytes,
            'width' => $this->picture->width,
            'height' => $this->picture->height,
            'pixel_aspect' => $aspect === null ? null : Fraction::writeFull($aspect),
            'bit_depth' => $this->encoding->bitDepth,
            'sample' => $this->encoding->sample,
            'channels' => $this->encoding->channels,
            'alpha' => $this->encoding->hasAlpha(),
            'compression' => $this->encoding->compression,
            'frame_rate' => $rate === null ? null : (string) $rate,
            'frame_count' => $this->timing->frameCount,
            'duration' => $this->timing->duration === null ? null : Fraction::write($this->timing->duration),
            'codec' => $this->encoding->codec,
            'chroma' => $this->encoding->chroma,
        ] + self::tracks($this->movie ?? new MovieFacts) + [
            'complete' => $this->wholeness->complete,
            'damage' => $this->wholeness->reason,
            'header' => (object) $this->named(),
        ];
    }

    /** @return array<string, mixed> */
    private static function tracks(MovieFacts $movie): array
    {
        $order = $movie->picture->order;

        return [
            'keyframe_interval_max' => $order->longestInterval,
            'b_frames' => $order->mostBFrames === null ? null : $order->mostBFrames > 0,
            'b_frames_max' => $order->mostBFrames,
            'audio' => ($movie->sound[0] ?? null)?->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private function named(): array
    {
        return $this->labels->header + array_filter(
            [
                'start_timecode' => $this->timing->timecode ?? $this->movie?->startTimecode,
                'camera' => $this->labels->camera,
                'projection' => $this->picture->projection,
                'density' => $this->picture->density,
                'colour' => $this->picture->colour,
                'alpha_kind' => $this->labels->alphaKind,
                ...$this->movie?->named() ?? [],
            ],
            static fn (mixed $value): bool => $value !== null,
        );
    }
}
