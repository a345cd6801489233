<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;

/** What a movie's picture track tells beside size and encoding. */
final readonly class PictureTrack
{
    /**
     * @param  string|null  $profile  of the codec, as its standard names it
     * @param  string|null  $scan  `progressive` or `interlaced`
     * @param  int  $rotation  degrees clockwise by which it is turned when shown: 0, 90, 180 or 270
     * @param  int|null  $bitRate  of the pictures alone, bits a second
     * @param  bool|null  $isLossless  where the codec can be either
     */
    public function __construct(
        public PictureTiming $timing = new PictureTiming,
        public PictureOrder $order = new PictureOrder,
        public ?string $profile = null,
        public ?string $scan = null,
        public int $rotation = 0,
        public ?int $bitRate = null,
        public ?bool $isLossless = null,
    ) {}

    /** Whether it is shown on its side. */
    public function exchangesSides(): bool
    {
        return $this->rotation % 180 !== 0;
    }

    /** @return array<string, mixed> of texts, numbers and nothing, as it is kept */
    public function toArray(): array
    {
        $timing = $this->timing;

        return [
            'count' => $timing->count,
            'rate' => $timing->rate === null ? null : (string) $timing->rate,
            'constant' => $timing->isConstant,
            'uneven' => $timing->uneven === null ? null : (string) $timing->uneven,
            'duration' => $timing->duration === null ? null : Fraction::write($timing->duration),
            'interval' => $this->order->longestInterval,
            'b_frames' => $this->order->mostBFrames,
            'keyframes' => $this->order->keyframes === null ? null : (string) $this->order->keyframes,
            'profile' => $this->profile,
            'scan' => $this->scan,
            'rotation' => $this->rotation,
            'bit_rate' => $this->bitRate,
            'lossless' => $this->isLossless,
        ];
    }

    /**
     * @param  array{count: int|null, rate: string|null, constant: bool|null, uneven: string|null,
     *   duration: string|null, interval: int|null, b_frames: int|null, keyframes: string|null, profile: string|null,
     *   scan: string|null, rotation: int, bit_rate: int|null, lossless: bool|null}  $row
     */
    public static function fromArray(array $row): self
    {
        $range = static fn (?string $text): ?FrameRange => match ($text) {
            null => null,
            '' => FrameRange::none(),
            default => FrameRange::parse($text),
        };

        return new self(
            new PictureTiming(
                $row['count'],
                $row['rate'] === null ? null : FrameRate::parse($row['rate']),
                $row['constant'],
                $range($row['uneven']),
                $row['duration'] === null ? null : BigRational::of($row['duration']),
            ),
            new PictureOrder($row['interval'], $row['b_frames'], $range($row['keyframes'])),
            $row['profile'],
            $row['scan'],
            $row['rotation'],
            $row['bit_rate'],
            $row['lossless'],
        );
    }
}
