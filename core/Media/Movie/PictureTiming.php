<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\FrameRate;

/** When the pictures of a movie are shown. Pictures are counted from 1, in the order in which they are shown. */
final readonly class PictureTiming
{
    /**
     * @param  FrameRate|null  $rate  the one that all of them keep to; else that of most
     * @param  bool|null  $isConstant  whether each stands as long as the rate says, to one tick of the clock
     * @param  FrameRange|null  $uneven  those that stand longer or shorter than most
     * @param  BigRational|null  $duration  seconds
     */
    public function __construct(
        public ?int $count = null,
        public ?FrameRate $rate = null,
        public ?bool $isConstant = null,
        public ?FrameRange $uneven = null,
        public ?BigRational $duration = null,
    ) {}
}
