<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRate;

/**
 * What a file says of itself. A fact it does not tell is null. Sizes in pixels, of the display window where a format
 * has one; depth in bits a channel.
 */
final readonly class MediaFacts
{
    /**
     * @param  list<string>|null  $channels  by full name, in the order R G B A within a layer
     * @param  string|null  $region  `full`, or `x,y,width,height` in pixels from the top left of the picture
     * @param  list<string>  $layers  names of layers and parts beside the first picture
     * @param  array<string, mixed>|null  $audio  sample_rate, channels, bit_depth, codec
     * @param  array<string, string>  $header  other named facts worth showing
     * @param  array<string, mixed>  $tracks  room for tracks and time tables of movies
     * @param  int|null  $density  pixels an inch, across
     * @param  string|null  $colour  the encoding as requirements name it; null where the file says nothing that names one
     * @param  string|null  $projection  as the file is tagged: `lat-long`, `cube`
     * @param  int|null  $quality  1 to 100, estimated
     * @param  int|null  $frameNumber  the number that the header gives this frame
     * @param  string|null  $timecode  its time address, `;` before the frames for drop-frame
     */
    public function __construct(
        public ?Kind $kind,
        public ?int $width = null,
        public ?int $height = null,
        public ?BigRational $pixelAspect = null,
        public ?int $bitDepth = null,
        public ?string $sample = null,
        public ?array $channels = null,
        public ?bool $alpha = null,
        public ?string $compression = null,
        public ?FrameRate $frameRate = null,
        public ?int $frameCount = null,
        public ?string $codec = null,
        public ?string $chroma = null,
        public ?string $region = null,
        public ?string $camera = null,
        public array $layers = [],
        public ?array $audio = null,
        public ?bool $complete = null,
        public ?Damage $damage = null,
        public ?string $damageSays = null,
        public array $header = [],
        public array $tracks = [],
        public ?int $density = null,
        public ?string $colour = null,
        public ?string $projection = null,
        public ?int $quality = null,
        public ?int $frameNumber = null,
        public ?string $timecode = null,
    ) {}

    public static function damaged(?Kind $kind, Damage $damage, string $says): self
    {
        return new self($kind, complete: false, damage: $damage, damageSays: $says);
    }

    public function withDamage(Damage $damage, string $says): self
    {
        return $this->with(['complete' => false, 'damage' => $damage, 'damageSays' => $says]);
    }

    /** Its header was read; whether the rest is whole was more than there is time for. */
    public function withUnread(string $why): self
    {
        return $this->with(['complete' => null, 'damage' => null, 'damageSays' => $why]);
    }

    /** Why it is not known whether it is whole; null where that is known, or was not asked. */
    public function unread(): ?string
    {
        return $this->damage === null && $this->complete === null ? $this->damageSays : null;
    }

    /** Without the texts that differ from frame to frame, so that equal frames share one. */
    public function withoutHeader(): self
    {
        return $this->header === [] && $this->frameNumber === null && $this->timecode === null
            ? $this
            : $this->with(['header' => [], 'frameNumber' => null, 'timecode' => null]);
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
        return $this->kind !== null && $this->damage === null;
    }

    /** `RGBA`, `Y`; a list of full names where they are longer. */
    public function channelsText(): ?string
    {
        return $this->channels === null ? null : Channels::write($this->channels);
    }

    /**
     * The one line of `probe --json`.
     *
     * @return array<string, mixed>
     */
    public function toArray(string $path, ?bool $extensionAgrees, int $bytes): array
    {
        return [
            'path' => $path,
            'kind' => $this->kind?->value,
            'extension_agrees' => $extensionAgrees,
            'bytes' => $bytes,
            'width' => $this->width,
            'height' => $this->height,
            'pixel_aspect' => $this->pixelAspect === null ? null : Fraction::writeFull($this->pixelAspect),
            'bit_depth' => $this->bitDepth,
            'sample' => $this->sample,
            'channels' => $this->channels,
            'alpha' => $this->alpha,
            'compression' => $this->compression,
            'frame_rate' => $this->frameRate === null ? null : (string) $this->frameRate,
            'frame_count' => $this->frameCount,
            'duration' => null,
            'codec' => $this->codec,
            'chroma' => $this->chroma,
            'keyframe_interval_max' => null,
            'b_frames' => null,
            'audio' => $this->audio,
            'complete' => $this->complete,
            'damage' => $this->damageSays,
            'header' => (object) (
                $this->header + array_filter(
                    [
                        'start_timecode' => $this->timecode,
                        'camera' => $this->camera,
                        'projection' => $this->projection,
                        'density' => $this->density,
                        'colour' => $this->colour,
                    ],
                    static fn (mixed $v): bool => $v !== null,
                )
            ),
        ];
    }
}
