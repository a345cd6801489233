<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

/** Frames of one stand-in render whose files are not what they should be. */
final readonly class SpoiltFrames
{
    /**
     * @param  list<int>  $cutShort  whose files break off
     * @param  list<int>  $black  which show nothing
     * @param  list<int>  $frozen  which show what the frame before them shows
     */
    public function __construct(public array $cutShort = [], public array $black = [], public array $frozen = []) {}

    /** The frame whose picture a frame shows: its own, or that of the last one that was not frozen. */
    public function shownIn(int $frame): int
    {
        while (in_array($frame, $this->frozen, true)) {
            $frame--;
        }

        return $frame;
    }

    /** What a frame's file holds after what befell it. */
    public function spoil(string $bytes, int $frame): string
    {
        return in_array($frame, $this->cutShort, true) ? substr($bytes, 0, intdiv(strlen($bytes) * 3, 5)) : $bytes;
    }
}
