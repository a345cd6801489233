<?php

declare(strict_types=1);

namespace PlainLedger\Demo\Practice;

use PlainLedger\Demo\MovieTraits;
use PlainLedger\Demo\MovieWriter;

/** The movie of an exercise, as it was made of its frames. */
final readonly class MadeMovie
{
    /**
     * @param  int  $leftOut  frames at the end
     * @param  array<int, int>  $held  ticks that single pictures stand longer, by their place
     */
    public function __construct(
        private int $leftOut = 0,
        private bool $indexFirst = true,
        private bool $hasTimecode = true,
        private array $held = [],
        private int $rotation = 0,
    ) {}

    /** @param  string  $folder  where its frames lie, and where it comes to lie */
    public function write(string $folder, string $name, int $finished): void
    {
        $frames = glob("{$folder}/*.png") ?: [];
        $pictures = array_map(
            static fn (string $path): string => (string) file_get_contents($path),
            array_slice($frames, 0, count($frames) - $this->leftOut),
        );
        [$width, $height] = getimagesizefromstring($pictures[0] ?? '') ?: [0, 0];
        if ($width === 0) {
            return;
        }
        $traits = new MovieTraits(
            indexFirst: $this->indexFirst,
            timecode: $this->hasTimecode ? AskedShot::TIMECODE[0] : null,
            held: $this->held,
            rotation: $this->rotation,
        );
        file_put_contents("{$folder}/{$name}", (new MovieWriter($width, $height, $traits))->write($pictures));
        touch("{$folder}/{$name}", $finished);
    }
}
