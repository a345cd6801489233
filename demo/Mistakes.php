<?php

declare(strict_types=1);

namespace PlainLedger\Demo;

use PlainLedger\Core\Measure\FrameRange;

/** What goes wrong on purpose in one stand-in render. */
final readonly class Mistakes
{
    /**
     * @param  FrameRange|null  $render  the frames that are rendered, where they are others than the scene's
     * @param  SpoiltFrames  $spoilt  frames whose files are not what they should be
     * @param  array{int, int}|null  $size  another size
     * @param  string|null  $name  another output name
     * @param  array<string, string>  $strays  files laid beside, by name
     * @param  string|null  $log  where the renderer writes its log, beside the folder of the frames
     */
    public function __construct(
        public ?FrameRange $render = null,
        public SpoiltFrames $spoilt = new SpoiltFrames,
        public ?array $size = null,
        public ?string $name = null,
        public array $strays = [],
        public ?string $folder = null,
        public ?string $log = null,
    ) {}
}
