<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

/** The sound of one track of a movie. Sound that is compressed has no depth. */
final readonly class SoundTrack
{
    /**
     * @param  int|null  $sampleRate  samples a second
     * @param  int|null  $bitDepth  bits a sample
     */
    public function __construct(
        public ?int $sampleRate,
        public ?int $channels,
        public ?int $bitDepth,
        public string $codec,
    ) {}

    /** @return array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string} */
    public function toArray(): array
    {
        return [
            'sample_rate' => $this->sampleRate,
            'channels' => $this->channels,
            'bit_depth' => $this->bitDepth,
            'codec' => $this->codec,
        ];
    }

    /** @param  array{sample_rate: int|null, channels: int|null, bit_depth: int|null, codec: string}  $row */
    public static function fromArray(array $row): self
    {
        return new self($row['sample_rate'], $row['channels'], $row['bit_depth'], $row['codec']);
    }
}
