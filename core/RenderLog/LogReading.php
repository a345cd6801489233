<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

/** What a log has told so far. Times are whole milliseconds. */
final readonly class LogReading
{
    private const MOST_SLOW = 50;

    /**
     * @param  int  $files  how many files were said to be written
     * @param  int  $bytes  of the log that were read
     */
    public function __construct(
        public LoggedFrames $frames,
        public LoggedMessages $warnings,
        public LoggedMessages $errors,
        public int $files,
        public ?string $lastFile,
        public LoggedTime $clock,
        public int $bytes,
    ) {}

    /** @return list<int> what frames took, ascending */
    public function times(): array
    {
        $times = array_values(array_filter($this->frames->milliseconds, is_int(...)));
        sort($times);

        return $times;
    }

    /** The middle one of the times: one stuck frame does not move it. */
    public function median(): ?int
    {
        $times = $this->times();

        return $times === [] ? null : $times[intdiv(count($times) - 1, 2)];
    }

    /**
     * Frames that took more than twice as long as the middle one, and at least two seconds more.
     *
     * @return array<int, int> milliseconds by frame, the slowest first
     */
    public function slow(): array
    {
        $median = $this->median();
        if ($median === null) {
            return [];
        }
        $slow = array_filter(
            $this->frames->milliseconds,
            static fn (?int $ms): bool => $ms !== null && $ms > 2 * $median && $ms >= $median + 2000,
        );
        arsort($slow);

        return array_filter(array_slice($slow, 0, self::MOST_SLOW, true), is_int(...));
    }

    /**
     * How many frames were rendered beside each other, by the clock: time told ÷ time passed, to the nearest whole; 1
     * where no clock is told.
     */
    public function besideEachOther(): int
    {
        $passed = $this->clock->seconds();

        return $passed <= 0 ? 1 : max(1, intdiv(intdiv(array_sum($this->times()), 1000) + intdiv($passed, 2), $passed));
    }
}
