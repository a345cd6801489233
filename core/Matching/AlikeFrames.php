<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\MediaFacts;

/** Frames of one take whose files say the same of themselves. */
final readonly class AlikeFrames
{
    /** @param  int  $id of the facts in the delivery's table */
    public function __construct(
        public int $id,
        public MediaFacts $facts,
        public int $take,
        public FrameRange $frames,
    ) {}
}
