<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

/** The files of a part while they are gathered: one list a property, since a million of them are held. */
final class FrameColumns
{
    /** @var list<int> */
    public array $numbers = [];

    /** @var list<int> ids in the delivery's table */
    public array $facts = [];

    /** @var list<int> bytes */
    public array $sizes = [];

    /** @var list<int> seconds since 1970 */
    public array $times = [];

    /** @var list<int> which take each is of */
    public array $takes = [];

    /** @var list<int> where each stands in its group */
    public array $rows = [];

    /** By frame number. */
    public function sort(): void
    {
        array_multisort(
            $this->numbers,
            SORT_NUMERIC,
            $this->facts,
            $this->sizes,
            $this->times,
            $this->takes,
            $this->rows,
        );
    }
}
