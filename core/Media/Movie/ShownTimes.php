<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Movie;

/**
 * Times at which pictures are shown, given in the order in which they are kept, as the time that each stands. No codec
 * holds back more pictures than fit here, so that never all of them are kept at once.
 */
final class ShownTimes
{
    private const HELD_BACK = 64;

    /** @var \SplMinHeap<int> */
    private \SplMinHeap $waiting;

    private ?int $before = null;

    public function __construct(private readonly DurationTally $tally)
    {
        $this->waiting = new \SplMinHeap;
    }

    /** @param  int  $shownAt  in ticks */
    public function add(int $shownAt): void
    {
        $this->waiting->insert($shownAt);
        if ($this->waiting->count() > self::HELD_BACK) {
            $this->show($this->waiting->extract());
        }
    }

    /** @param  int|null  $last  ticks that the last picture stands; null where that is not known: as the others */
    public function end(?int $last): DurationTally
    {
        while (! $this->waiting->isEmpty()) {
            $this->show($this->waiting->extract());
        }
        if ($this->before !== null) {
            $this->tally->add(1, $last ?? $this->tally->usual());
        }

        return $this->tally;
    }

    private function show(int $at): void
    {
        if ($this->before !== null) {
            $this->tally->add(1, $at - $this->before);
        }
        $this->before = $at;
    }
}
