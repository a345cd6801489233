<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Boxes;

/** Boxes of a track that few readers need. */
final readonly class TrackBoxes
{
    /**
     * @param  Box|null  $edits  which stretches are shown
     * @param  Box|null  $drawing  how pictures are drawn over others
     * @param  Box|null  $noted  what somebody put beside them
     */
    public function __construct(public ?Box $edits, public ?Box $drawing, public ?Box $noted) {}
}
