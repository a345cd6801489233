<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

/** What a movie file says beside its picture: its tracks, and how they lie in the file. */
final readonly class MovieFacts
{
    /**
     * @param  list<SoundTrack>  $sound
     * @param  string|null  $startTimecode  the address of the first picture, `;` before the frames for drop-frame
     * @param  string|null  $index  `first` or `last`; null where the container has none to be put anywhere
     * @param  bool|null  $isFragmented  null where the container knows no fragments
     * @param  SourceShown|null  $shown  what it shows of its frames; null where that was not looked at
     * @param  MoviePixels|null  $pixels  what its pictures come to; null where nobody asked
     */
    public function __construct(
        public PictureTrack $picture = new PictureTrack,
        public array $sound = [],
        public ?string $startTimecode = null,
        public ?string $index = null,
        public ?bool $isFragmented = null,
        public ?SourceShown $shown = null,
        public ?MoviePixels $pixels = null,
    ) {}

    /** What was found out by looking at its pictures. */
    public function lookedAt(?SourceShown $shown, ?MoviePixels $pixels): self
    {
        return new self(
            $this->picture,
            $this->sound,
            $this->startTimecode,
            $this->index,
            $this->isFragmented,
            $shown,
            $pixels,
        );
    }

    /** @return array<string, mixed> named facts worth showing; nothing where the file does not tell */
    public function named(): array
    {
        $timing = $this->picture->timing;

        return [
            'scan' => $this->picture->scan,
            'rotation' => ($timing->count ?? 0) === 0 ? null : $this->picture->rotation,
            'index' => $this->index,
            'fragmented' => $this->isFragmented,
            'profile' => $this->picture->profile,
            'bit_rate' => $this->picture->bitRate,
            'rate_constant' => $timing->isConstant,
            'uneven_pictures' => $timing->uneven?->isEmpty() === false ? (string) $timing->uneven : null,
            'sound_tracks' => count($this->sound) > 1 ? count($this->sound) : null,
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function toArray(): array
    {
        return [
            'picture' => $this->picture->toArray(),
            'sound' => array_map(static fn (SoundTrack $s): array => $s->toArray(), $this->sound),
            'start' => $this->startTimecode,
            'index' => $this->index,
            'fragmented' => $this->isFragmented,
        ]
            + ($this->shown === null ? [] : ['shown' => $this->shown->toArray()])
            + ($this->pixels === null ? [] : ['pixels' => $this->pixels->toArray()]);
    }

    /**
     * @param  array{picture: array{count: int|null, rate: string|null, constant: bool|null, uneven: string|null,
     *   duration: string|null, interval: int|null, b_frames: int|null, keyframes: string|null, profile: string|null,
     *   scan: string|null, rotation: int, bit_rate: int|null, lossless: bool|null},
     *   sound: list<array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string}>,
     *   start: string|null, index: string|null, fragmented: bool|null, shown?: array{looked: int,
     *   order: string|null, times: int, frames: string, apart: string, light: string|null,
     *   why: string|null}, pixels?: array{samples: list<string|null>,
     *   distances: array<int, array{int|null, int, string}|null>, why: string|null}}  $row  as {@see toArray} makes it
     */
    public static function fromArray(array $row): self
    {
        return new self(
            PictureTrack::fromArray($row['picture']),
            array_map(SoundTrack::fromArray(...), $row['sound']),
            $row['start'],
            $row['index'],
            $row['fragmented'],
            isset($row['shown']) ? SourceShown::fromArray($row['shown']) : null,
            isset($row['pixels']) ? MoviePixels::fromArray($row['pixels']) : null,
        );
    }
}
