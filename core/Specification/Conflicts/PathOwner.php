<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification\Conflicts;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Specification\Part;

/** What writes a path: one part, or one pass of it, of one specification. */
final readonly class PathOwner
{
    /**
     * @param  string  $called  what the specification is called in sentences
     * @param  FrameRange|null  $frames  which numbers it takes; null where that is not known, or there are none
     */
    public function __construct(
        public string $called,
        public Part $part,
        public ?string $pass,
        public ?FrameRange $frames,
    ) {}

    /** Of frames whose range is not known yet it must be thought. */
    public function meets(self $other): bool
    {
        return $this->frames === null || $other->frames === null || ! $this->frames->and($other->frames)->isEmpty();
    }

    public function isOfOneSpecificationWith(self $other): bool
    {
        return $this->called === $other->called;
    }

    public function isOfOnePartWith(self $other): bool
    {
        return $this->isOfOneSpecificationWith($other) && $this->part->name === $other->part->name;
    }
}
