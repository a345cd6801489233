<?php

declare(strict_types=1);

namespace PlainLedger\Core\Checking;

use PlainLedger\Core\Measure\FrameRange;

/** What one side shows of one requirement. */
final readonly class Cell
{
    /**
     * @param  string|null  $found  the commonest value; null where it could not be read
     * @param  list<array{frames: string, found: string}>  $runs  where frames differ: the rest
     * @param  array<int, FrameRange>  $wrong  frames that are unequal, by the pass's place
     */
    private function __construct(public Mark $mark, public ?string $found, public array $runs = [], public array $wrong = [], public bool $stale = false) {}

    /**
     * @param  list<array{frames: string, found: string}>  $runs
     * @param  array<int, FrameRange>  $wrong
     */
    public static function of(Mark $mark, ?string $found, array $runs = [], array $wrong = []): self
    {
        return new self($mark, $found, $runs, $wrong);
    }

    public static function when(bool $equal, string $found): self
    {
        return new self($equal ? Mark::Equal : Mark::Unequal, $found);
    }

    public static function unknown(): self
    {
        return new self(Mark::Unknown, null);
    }

    public function asStale(): self
    {
        return new self($this->mark, $this->found, $this->runs, $this->wrong, true);
    }

    /** An unequal cell that is accepted; any other stays as it is. */
    public function asWaived(): self
    {
        return $this->isUnequal() && ! $this->stale ? new self(Mark::Waived, $this->found, $this->runs, $this->wrong) : $this;
    }

    public function isUnequal(): bool
    {
        return $this->mark === Mark::Unequal;
    }
}
