<?php

declare(strict_types=1);

namespace PlainLedger\Core\Measure;

/** Gathers ascending numbers into runs, so that a million in a row cost no more than two. */
final class RangeBuilder
{
    /** @var list<int> first and last of each run; of the newest only the first */
    private array $ends = [];

    private ?int $last = null;

    /** @param  int  $number  not below the one before */
    public function add(int $number): void
    {
        if ($this->last !== null && $number <= $this->last + 1) {
            $this->last = $number;

            return;
        }
        if ($this->last !== null) {
            $this->ends[] = $this->last;
        }
        $this->ends[] = $number;
        $this->last = $number;
    }

    public function range(): FrameRange
    {
        return FrameRange::ofEnds($this->last === null ? [] : [...$this->ends, $this->last]);
    }
}
