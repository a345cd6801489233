<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderLog;

use PlainLedger\Core\Measure\FrameRange;

/** What a log has told so far. Times are whole milliseconds. */
final readonly class LogReading
{
    private const MOST_SLOW = 50;

    /**
     * @param  FrameRange  $begun  frames begun and not finished
     * @param  array<int, int|null>  $milliseconds  of each finished frame; null where it was not told
     * @param  int|null  $last  the frame finished last
     * @param  array<string, int>  $warnings  how often, by what is said; what differs in its numbers alone is the same
     * @param  array<string, int>  $errors
     * @param  string|null  $firstClock  `2026-11-25 21:04:10`, where lines begin with it
     */
    public function __construct(
        public FrameRange $finished, public FrameRange $begun, public array $milliseconds, public ?int $last,
        public int $files, public ?string $lastFile,
        public int $warningCount, public array $warnings, public int $errorCount, public array $errors,
        public ?string $firstClock, public ?string $lastClock, public int $lines, public int $bytes,
    ) {}

    /** @return list<int> what frames took, ascending */
    public function times(): array
    {
        $times = array_values(array_filter($this->milliseconds, is_int(...)));
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
            $this->milliseconds,
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
        if ($this->firstClock === null || $this->lastClock === null) {
            return 1;
        }
        [$began, $ended] = array_map(
            static fn (string $clock): \DateTimeImmutable|false => \DateTimeImmutable::createFromFormat(
                '!Y-m-d H:i:s',
                $clock,
                new \DateTimeZone('UTC'),
            ),
            [$this->firstClock, $this->lastClock],
        );
        // digits that look like a clock need be none
        $passed = $began === false || $ended === false ? 0 : $ended->getTimestamp() - $began->getTimestamp();

        return $passed <= 0 ? 1 : max(1, intdiv(intdiv(array_sum($this->times()), 1000) + intdiv($passed, 2), $passed));
    }
}
