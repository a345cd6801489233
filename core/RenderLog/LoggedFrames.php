<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Measure\FrameRange;

/** What a log tells of frames. */
final readonly class LoggedFrames
{
    /**
     * @param  FrameRange  $begun  frames begun and not finished
     * @param  array<int, int|null>  $milliseconds  of each finished frame; null where it was not told
     * @param  int|null  $last  the frame finished last
     */
    public function __construct(
        public FrameRange $finished,
        public FrameRange $begun,
        public array $milliseconds,
        public ?int $last,
    ) {}
}
