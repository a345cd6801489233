<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Naming\NameReading;

/** Files of one sequence, or one file, that no part asks for. */
final readonly class Extra
{
    /** @param  NameReading|null  $reading where it is a second file for a frame that is there: how its name reads */
    public function __construct(
        public Sequence $sequence,
        public FrameRange $frames,
        public ?Kind $kind,
        public ?NameReading $reading,
    ) {}

    public function count(): int
    {
        return $this->sequence->column === null ? 1 : count($this->frames);
    }

    /** Its path below the delivery's root, `#` for digits of the number where it is several files; raw bytes. */
    public function path(): string
    {
        $name = $this->count() > 1 || $this->sequence->column === null
            ? $this->sequence->pattern()
            : $this->sequence->group->name($this->sequence->rowOf($this->frames->first()) ?? $this->sequence->rows[0]);

        return $this->sequence->folder() === '' ? $name : $this->sequence->folder().'/'.$name;
    }
}
