<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;

/** When its frames are shown. */
final readonly class TimingFacts
{
    /**
     * @param  int|null  $frameNumber  the number that the header gives this frame
     * @param  string|null  $timecode  its time address, `;` before the frames for drop-frame
     * @param  BigRational|null  $duration  seconds
     */
    public function __construct(
        public ?FrameRate $rate = null,
        public ?int $frameCount = null,
        public ?int $frameNumber = null,
        public ?string $timecode = null,
        public ?BigRational $duration = null,
    ) {}

    /** Without what differs from frame to frame. */
    public function ofEveryFrame(): self
    {
        return new self($this->rate, $this->frameCount, duration: $this->duration);
    }
}
