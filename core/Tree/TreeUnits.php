<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree;

use PlainLedger\Core\Delivery\Delivery;
use PlainLedger\Core\Delivery\NameGroup;
use PlainLedger\Core\Delivery\Sequence;

/** Parts a delivery into what belongs together, so that no part of one belongs to two deliverables by its code. */
final readonly class TreeUnits
{
    public function __construct(private Delivery $delivery, private OwnerWords $words) {}

    /** @return \Generator<int, TreeUnit> */
    public function all(): \Generator
    {
        foreach ($this->delivery->groups as $group) {
            $isPicture = ($this->delivery->kindsOf($group)[0] ?? null)?->isMovie() !== true;
            $column = $isPicture ? Sequence::likelyColumn($group) : null;
            foreach (Sequence::of($group, $column) as $sequence) {
                yield from $this->parted($group, $sequence);
            }
        }
    }

    /**
     * A number that was taken for the frame's may be the one of a code.
     *
     * @return \Generator<int, TreeUnit>
     */
    private function parted(NameGroup $group, Sequence $sequence): \Generator
    {
        $frames = $sequence->column === null ? null : $sequence->frames;
        $last = $sequence->rows[count($sequence->rows) - 1];
        $whose = $this->words->in($group->name($sequence->rows[0]));
        if (count($sequence->rows) === 1 || $whose === $this->words->in($group->name($last))) {
            yield new TreeUnit($group, $sequence->rows->all(), $sequence->pattern(), $frames);

            return;
        }
        foreach ($sequence->rows as $row) {
            yield new TreeUnit($group, [$row], $group->name($row), null);
        }
    }
}
