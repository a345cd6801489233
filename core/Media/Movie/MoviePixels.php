<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use PlainLedger\Core\Media\PictureDistance;
use PlainLedger\Core\Media\PixelSample;

/** What the pixels of a movie's pictures come to, in the order in which they are shown; or why nobody looked. */
final readonly class MoviePixels
{
    /**
     * @param  list<PixelSample|null>  $samples  one a picture; null where its pixels could not be read
     * @param  array<int, PictureDistance|null>  $distances  from approved pictures, by place counted from 0; null where
     *   the two could not be compared
     * @param  string|null  $why  they were not looked at
     */
    private function __construct(public array $samples, public array $distances, public ?string $why) {}

    /**
     * @param  list<PixelSample|null>  $samples
     * @param  array<int, PictureDistance|null>  $distances
     */
    public static function seen(array $samples, array $distances): self
    {
        return new self($samples, $distances, null);
    }

    public static function unseen(string $why): self
    {
        return new self([], [], $why);
    }

    /** @return array<string, mixed> as it is kept */
    public function toArray(): array
    {
        return [
            'samples' => array_map(
                static fn (?PixelSample $one): ?string => $one === null ? null : base64_encode($one->packed()),
                $this->samples,
            ),
            'distances' => array_map(
                static fn (?PictureDistance $one): ?array => $one?->toArray(),
                $this->distances,
            ),
            'why' => $this->why,
        ];
    }

    /**
     * @param  array{samples: list<string|null>, distances: array<int, array{int|null, int, string}|null>,
     *   why: string|null}  $row
     */
    public static function fromArray(array $row): self
    {
        return new self(
            array_map(
                static fn (?string $kept): ?PixelSample => $kept === null
                    ? null
                    : PixelSample::unpacked((string) base64_decode($kept, true)),
                $row['samples'],
            ),
            array_map(
                static fn (?array $kept): ?PictureDistance => $kept === null ? null : new PictureDistance(...$kept),
                $row['distances'],
            ),
            $row['why'],
        );
    }
}
