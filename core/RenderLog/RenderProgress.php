<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\RenderPlanning\FrameTimes;

/** How far a render is by its log: what is left, from which frame it goes on, and when it will end. */
final readonly class RenderProgress
{
    /** The first frame that is not finished. */
    public ?int $resume;

    /**
     * @param  int  $machines  how many frames go on beside each other
     * @param  array{int, int}|null  $secondsLeft  whole seconds, at least and at most; null where no time is told
     */
    private function __construct(
        public FrameRange $expected,
        public FrameRange $done,
        public FrameRange $left,
        public FrameRange $beyond,
        public ?FrameTimes $times,
        public int $machines,
        public ?array $secondsLeft,
    ) {
        $this->resume = $left->isEmpty() ? null : $left->first();
    }

    public static function of(LogReading $reading, FrameRange $expected): self
    {
        $left = $expected->minus($reading->frames->finished);
        $times = $reading->times() === [] ? null : FrameTimes::ofMilliseconds($reading->times());
        $machines = $reading->besideEachOther();
        $rounds = intdiv(count($left) + $machines - 1, $machines);

        return new self(
            $expected,
            $expected->and($reading->frames->finished),
            $left,
            $reading->frames->finished->minus($expected),
            $times,
            $machines,
            $times === null
                ? null
                : [intdiv($times->least * $rounds, 1000), intdiv($times->most * $rounds + 999, 1000)],
        );
    }
}
