<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Measure\FrameRange;

/** What answers one pass of a part (or the part itself, where it has no passes of their own files). */
final readonly class PassMatch
{
    public FrameRange $present;

    public FrameRange $damaged;

    /**
     * @param  list<Take>  $takes  the best first
     * @param  FrameRange|null  $expected  null where no range is asked
     * @param  string  $pattern  the name asked, `#` for digits of the frame number
     * @param  bool  $lone  one picture without a number, which stands for one frame, whichever
     */
    public function __construct(
        public ?string $pass,
        public array $takes,
        public FoundFrames $frames,
        public ?FrameRange $expected,
        public string $pattern,
        public bool $lone = false,
    ) {
        $this->present = FrameRange::ofAscending($frames->numbers);
        $damaged = FrameRange::none();
        foreach ($frames->alike as $alike) {
            $damaged = $alike->facts->isWhole() ? $damaged : $damaged->plus($alike->frames);
        }
        $this->damaged = $damaged;
    }

    public function isEmpty(): bool
    {
        return $this->frames->count() === 0;
    }

    public function missing(): FrameRange
    {
        return $this->expected?->minus($this->present) ?? FrameRange::none();
    }

    public function extra(): FrameRange
    {
        return $this->expected === null ? FrameRange::none() : $this->present->minus($this->expected);
    }

    /** Frames that rules look at: those expected, or all where none of them is (they are only numbered differently). */
    public function relevant(): FrameRange
    {
        if ($this->expected === null) {
            return $this->present;
        }
        $inside = $this->present->and($this->expected);

        return $inside->isEmpty() ? $this->present : $inside;
    }
}
