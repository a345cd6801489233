<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use PlainLedger\Core\Measure\FrameRange;

/** Which pictures of a movie stand by themselves, and which need others that are shown after them. */
final readonly class PictureOrder
{
    /**
     * @param  int|null  $longestInterval  frames from one keyframe to the next, or to the end
     * @param  int|null  $mostBFrames  in a row
     * @param  FrameRange|null  $keyframes  counted from 1; null where they are too many to be kept
     */
    public function __construct(
        public ?int $longestInterval = null,
        public ?int $mostBFrames = null,
        public ?FrameRange $keyframes = null,
    ) {}

    /** Of a codec whose every picture stands by itself. */
    public static function everyOne(?int $count): self
    {
        return new self(1, 0, $count === null || $count < 1 ? null : FrameRange::of(1, $count));
    }

    /** With every picture a keyframe, as a file says that has no list of them. */
    public function withoutInterval(int $count): self
    {
        return new self(1, $this->mostBFrames, $count < 1 ? null : FrameRange::of(1, $count));
    }
}
