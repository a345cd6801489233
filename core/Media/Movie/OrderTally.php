<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\RangeBuilder;

/**
 * The order of pictures, as they come in the order in which they are kept. One that is shown before another that was
 * kept earlier is a B-frame: it needs the later one.
 */
final class OrderTally
{
    /** More runs of keyframes are not kept. */
    private const MOST_KEPT = 4000;

    private int $count = 0;

    private int $latest = PHP_INT_MIN;

    private int $inRow = 0;

    private int $most = 0;

    private int $lastKey = 0;

    private int $longest = 0;

    private int $keys = 0;

    private RangeBuilder $keyframes;

    public function __construct()
    {
        $this->keyframes = new RangeBuilder;
    }

    /** @param  int  $shownAt  in ticks of whatever clock */
    public function add(int $shownAt, bool $isKeyframe = false): void
    {
        $this->count++;
        if ($shownAt < $this->latest) {
            $this->inRow++;
            $this->most = $this->inRow > $this->most ? $this->inRow : $this->most;
        } else {
            $this->latest = $shownAt;
            $this->inRow = 0;
        }
        if ($isKeyframe) {
            $this->keyframe($this->count);
        }
    }

    /** Forgets what was added, but for keyframes that are told by their places. */
    public function beginAnew(): void
    {
        [$this->count, $this->inRow, $this->most, $this->latest] = [0, 0, 0, PHP_INT_MIN];
    }

    /** @param  int  $place  counted from 1, rising */
    public function keyframe(int $place): void
    {
        $this->longest = max($this->longest, $place - max(1, $this->lastKey));
        $this->lastKey = $place;
        if (++$this->keys <= self::MOST_KEPT) {
            $this->keyframes->add($place);
        }
    }

    /** @param  int|null  $mostBFrames  where it is known otherwise */
    public function order(?int $count = null, ?int $mostBFrames = null): PictureOrder
    {
        $count ??= $this->count;
        if ($count < 1) {
            return new PictureOrder;
        }
        $tail = $count + 1 - max(1, $this->lastKey);

        return new PictureOrder(
            max($this->longest, $tail),
            $mostBFrames ?? $this->most,
            $this->keys > self::MOST_KEPT ? null : $this->range(),
        );
    }

    private function range(): FrameRange
    {
        return $this->keys === 0 ? FrameRange::none() : $this->keyframes->range();
    }
}
