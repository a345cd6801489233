<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Matroska;

/** One block of a track (RFC 9559, 10). */
final readonly class MatroskaBlock
{
    /**
     * @param  int  $shownAt  ticks
     * @param  int|null  $lasts  ticks; null where it does not say
     * @param  int  $place  of its data in the file, in bytes
     * @param  int  $frames  more than one where it is laced
     */
    public function __construct(
        public int $track,
        public int $shownAt,
        public bool $isKeyframe,
        public ?int $lasts,
        public int $place,
        public int $size,
        public int $frames,
    ) {}
}
