<?php

declare(strict_types=1);

namespace PlainLedger\Core\Matching;

use PlainLedger\Core\Delivery\Sequence;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\Difference;
use PlainLedger\Core\Naming\NameReading;

/** One sequence, or file, as far as it answers a part. */
final readonly class Take
{
    /**
     * @param  NameReading|null  $reading  null where no pattern is asked
     * @param  FrameRange  $frames  the numbers it answers
     */
    public function __construct(
        public Sequence $sequence,
        public ?NameReading $reading,
        public bool $folderFits,
        public FrameRange $frames,
    ) {}

    /** The names of its files below the delivery's root, `#` for digits of the frame number; raw bytes. */
    public function path(): string
    {
        return $this->sequence->folder() === ''
            ? $this->sequence->pattern()
            : $this->sequence->folder().'/'.$this->sequence->pattern();
    }

    public function answering(FrameRange $frames): self
    {
        return new self($this->sequence, $this->reading, $this->folderFits, $frames);
    }

    /** Its frames whose names are not as asked. */
    public function misnamed(): FrameRange
    {
        if ($this->reading === null || $this->reading->fits()) {
            return FrameRange::none();
        }
        foreach ($this->reading->differing() as $piece) {
            $onlyDigits = $piece->piece === 'frame'
                && count($piece->differences) === 1
                && in_array($piece->differences[0], [Difference::TooFewDigits, Difference::TooManyDigits], true);
            if (! $onlyDigits) {
                return $this->frames;
            }
        }
        $digits = null;
        foreach ($this->reading->pieces as $piece) {
            $digits = $piece->piece === 'frame' ? strlen($piece->asked) : $digits;
        }

        return $this->sequence->notFilledTo($digits)->and($this->frames);
    }

    /** @param  list<self>  $takes */
    public static function framesOf(array $takes): FrameRange
    {
        return array_reduce(
            $takes,
            static fn (FrameRange $all, self $take): FrameRange => $all->plus($take->frames),
            FrameRange::none(),
        );
    }

    /** The order in which takes are preferred: by name, folder, size, and at last by their paths. */
    public static function nearer(self $a, self $b): int
    {
        return $a->weight() <=> $b->weight();
    }

    /** @return list<bool|int|string> */
    private function weight(): array
    {
        return [
            $this->reading->cost ?? 0,
            ! $this->folderFits,
            -$this->sequence->count(),
            substr_count($this->sequence->folder(), '/'),
            $this->sequence->folder(),
            $this->sequence->pattern(),
        ];
    }
}
