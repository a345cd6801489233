<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderPlanning;

use PlainLedger\Core\Measure\FrameRange;

/** When one deliverable's frames will be ready. Moments are seconds since 1970 of the local clock. */
final readonly class PlannedJob
{
    /**
     * @param  array{int, int, int}|null  $ready at the earliest, likely, at the latest; null where a frame takes
     *   longer than the hours that may be used
     * @param  FrameRange  $inTime  the frames that are likely finished when it is due
     * @param  int|null  $scale  the largest render scale, in whole percent, at which it is likely in time; null where
     *   it is anyway, or where none would do
     */
    public function __construct(
        public RenderJob $job,
        public ?array $ready,
        public FrameRange $inTime,
        public ?int $scale,
    ) {}

    /** Seconds past the due time: at the earliest, likely and at the latest; negative is time to spare. */
    public function lateBy(int $which = 1): ?int
    {
        return $this->ready === null || $this->job->due === null ? null : $this->ready[$which] - $this->job->due;
    }

    /**
     * `in time` where even the latest is; `late` where even the earliest is not; else `perhaps late`.
     *
     * @return 'in time'|'late'|'never'|'no date'|'perhaps late'
     */
    public function word(): string
    {
        return match (true) {
            $this->ready === null => 'never',
            $this->job->due === null => 'no date',
            $this->lateBy(2) <= 0 => 'in time',
            $this->lateBy(0) > 0 => 'late',
            default => 'perhaps late',
        };
    }
}
