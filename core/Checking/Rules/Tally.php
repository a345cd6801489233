<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking\Rules;

use PlainLedger\Core\Checking\Cell;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Measure\FrameRange;

/** Counts what frames show, value by value and pass by pass, and makes a cell of it. */
final class Tally
{
    /** More values than these are told by their number alone. */
    private const MOST_RUNS = 200;

    /** @var array<string, Mark> */
    private array $marks = [];

    /** @var array<array-key, int> frames by what they show */
    private array $counts = [];

    /** @var array<array-key, array<int, FrameRange>> by what they show, by the place of the pass */
    private array $frames = [];

    /** @var array<array-key, int> frames by what they wrongly show */
    private array $differing = [];

    /** @var array<int, FrameRange> by the place of the pass */
    private array $wrong = [];

    /** @param  string|null  $found  null where the frames are there and cannot tell */
    public function add(?string $found, bool $equal, int $place, FrameRange $frames): void
    {
        $mark = $found === null ? Mark::Unknown : Mark::when($equal);
        $this->marks[$mark->value] = $mark;
        if ($found !== null) {
            $this->counts[$found] = ($this->counts[$found] ?? 0) + count($frames);
            $this->frames[$found][$place] = ($this->frames[$found][$place] ?? FrameRange::none())->plus($frames);
        }
        if ($found !== null && ! $equal) {
            $this->differing[$found] = ($this->differing[$found] ?? 0) + count($frames);
            $this->wrong[$place] = ($this->wrong[$place] ?? FrameRange::none())->plus($frames);
        }
    }

    public function isEmpty(): bool
    {
        return $this->marks === [];
    }

    /** The commonest value, with the others as runs of frames. */
    public function cell(): Cell
    {
        arsort($this->counts);
        arsort($this->differing);
        $commonest = array_key_first($this->counts);
        $worst = array_key_first($this->differing);

        return Cell::of(
            Mark::together(...array_values($this->marks)),
            $commonest === null ? null : (string) $commonest,
            $this->runs(),
            $this->wrong,
            $worst === null ? null : (string) $worst,
            $commonest === null ? 1 : $this->counts[$commonest],
        );
    }

    /** @return list<array{frames: string, found: string}> of all but the commonest */
    private function runs(): array
    {
        $runs = [];
        foreach (array_slice(array_keys($this->counts), 1, self::MOST_RUNS) as $found) {
            foreach ($this->frames[$found] as $set) {
                $runs[] = ['frames' => (string) $set, 'found' => (string) $found];
            }
        }

        return $runs;
    }
}
