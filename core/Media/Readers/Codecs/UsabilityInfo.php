<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Codecs;

use Brick\Math\BigRational;

/** What parameter sets of both codecs say of how their pictures are to be shown (ITU-T H.264 and H.265, annex E). */
final readonly class UsabilityInfo
{
    /** Pixel aspects by their number; 255 is followed by the two sides. */
    private const ASPECTS = [
        1 => [1, 1], [12, 11], [10, 11], [16, 11], [40, 33], [24, 11], [20, 11], [32, 11], [80, 33], [18, 11],
        [15, 11], [64, 33], [160, 99], [4, 3], [3, 2], [2, 1],
    ];

    private const ASPECT_FOLLOWS = 255;

    /** @param  array{int, int}|null  $codePoints  colour primaries and transfer */
    private function __construct(
        public ?BigRational $pixelAspect,
        public ?array $codePoints,
        public ?int $matrix = null,
    ) {}

    public static function none(): self
    {
        return new self(null, null);
    }

    public static function read(BitReader $bits): self
    {
        $aspect = $bits->flag() ? self::aspect($bits) : null;
        if ($bits->flag()) {
            $bits->skip(1);
        }
        $points = null;
        $matrix = null;
        if ($bits->flag()) {
            $bits->skip(4);
            if ($bits->flag()) {
                $points = [$bits->bits(8), $bits->bits(8)];
                $matrix = $bits->bits(8);
            }
        }

        return new self($aspect, $points, $matrix);
    }

    private static function aspect(BitReader $bits): ?BigRational
    {
        $number = $bits->bits(8);
        [$across, $down] = $number === self::ASPECT_FOLLOWS
            ? [$bits->bits(16), $bits->bits(16)]
            : self::ASPECTS[$number] ?? [0, 0];

        return $across > 0 && $down > 0 ? BigRational::nd($across, $down)->simplified() : null;
    }
}
