<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderPlanning;

use PlainLedger\Core\Measure\FrameRange;

/** Frames of one deliverable that are still to be rendered. */
final readonly class RenderJob
{
    /**
     * @param  int|null  $due  seconds since 1970 of the local clock
     * @param  int|null  $bytes  of one frame with all its passes
     */
    public function __construct(
        public string $key,
        public string $label,
        public FrameRange $frames,
        public FrameTimes $times,
        public ?int $due = null,
        public ?int $bytes = null,
    ) {}

    /** @return self the same at another render scale */
    public function scaled(int $percent): self
    {
        return new self(
            $this->key,
            $this->label,
            $this->frames,
            $this->times->scaled($percent),
            $this->due,
            $this->bytes,
        );
    }
}
