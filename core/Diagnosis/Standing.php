<?php

declare(strict_types=1);

namespace PlainLedger\Core\Diagnosis;

/** How a finding stands beside others. */
final readonly class Standing
{
    /**
     * @param  bool  $alternative  one of several readings of the same facts: told as an `or` where an earlier one
     *   explains all it would
     * @param  bool  $render  the frames that are wrong in what it explains must be rendered again
     * @param  list<CauseId>  $or  causes that the same facts allow
     */
    public function __construct(public bool $alternative = false, public bool $render = false, public array $or = []) {}

    public function joined(self $other): self
    {
        $or = array_values(array_unique([...$this->or, ...$other->or], SORT_REGULAR));

        return new self($this->alternative, $this->render || $other->render, $or);
    }
}
