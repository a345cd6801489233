<?php

declare(strict_types=1);

namespace Tests\Core\RenderPlanning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;
use PlainLedger\Core\RenderPlanning\PlannedJob;
use PlainLedger\Core\RenderPlanning\RenderJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** The plan beside a clock that is moved on second by second, with every machine asked at each tick. */
final class PlanAgainstClockTest extends TestCase
{
    private const DAY = 1_790_035_200;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 40) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_it_says_what_the_clock_says(int $seed): void
    {
        mt_srand($seed);
        $machines = mt_rand(1, 5);
        $window = mt_rand(0, 1) === 0 ? null : [mt_rand(0, 23), mt_rand(0, 23)];
        $window = $window !== null && $window[0] === $window[1] ? null : $window;
        $start = self::DAY + mt_rand(0, 86_399);
        $jobs = self::someJobs($start);
        $pool = MachinePool::of($machines, $start, $window === null ? '' : "{$window[0]}:00-{$window[1]}:00");
        $plan = RenderPlan::of($pool, array_map(self::job(...), $jobs));
        $byDue = static fn (array $job): array => [$job['due'] ?? PHP_INT_MAX, $job['label']];
        usort($jobs, static fn (array $a, array $b): int => $byDue($a) <=> $byDue($b));
        $clock = self::byClock($machines, $window, $start, $jobs);

        foreach ($plan->jobs as $at => $planned) {
            self::assertSame($jobs[$at]['label'], $planned->job->label);
            self::assertSame(
                [$clock[$at]['ready'], $clock[$at]['ready'], $clock[$at]['ready']],
                $planned->ready,
                $planned->job->label,
            );
            self::assertSame($clock[$at]['inTime'], count($planned->inTime), $planned->job->label);
            if ($planned->scale !== null) {
                // the scale that is named fits, and one percent more does not
                self::assertTrue(self::fitsAt($plan, $at, $planned->scale), "{$planned->scale} %");
                self::assertFalse(self::fitsAt($plan, $at, $planned->scale + 1), "over {$planned->scale} %");
            }
        }
        if ($plan->machinesNeeded !== null) {
            $late = static fn (int $many): bool => array_filter(
                self::byClock($many, $window, $start, $jobs),
                static fn (array $c): bool => $c['late'],
            ) !== [];
            self::assertFalse($late($plan->machinesNeeded));
            self::assertTrue($late($plan->machinesNeeded - 1));
        }
    }

    /** @return list<array{label: string, frames: int, seconds: int, due: int|null}> */
    private static function someJobs(int $start): array
    {
        $jobs = [];
        foreach (range(1, mt_rand(1, 4)) as $n) {
            $jobs[] = [
                'label' => "job {$n}",
                'frames' => mt_rand(1, 12),
                'seconds' => mt_rand(1, 1500),
                'due' => mt_rand(0, 3) === 0 ? null : $start + mt_rand(100, 40_000),
            ];
        }

        return $jobs;
    }

    /** @param  array{label: string, frames: int, seconds: int, due: int|null}  $job */
    private static function job(array $job): RenderJob
    {
        $times = FrameTimes::parse("{$job['seconds']} s");

        return new RenderJob($job['label'], $job['label'], FrameRange::of(1, $job['frames']), $times, $job['due']);
    }

    /** Whether a job is ready in time after those before it, at so many percent of its size. */
    private static function fitsAt(RenderPlan $plan, int $at, int $percent): bool
    {
        $jobs = array_map(static fn (PlannedJob $planned): RenderJob => $planned->job, $plan->jobs);
        $jobs = [...array_slice($jobs, 0, $at), $jobs[$at]->scaled($percent)];

        return (RenderPlan::of($plan->pool, $jobs)->jobs[$at]->lateBy() ?? 1) <= 0;
    }

    /**
     * @param  array{int, int}|null  $window  hours of the day
     * @param  list<array{label: string, frames: int, seconds: int, due: int|null}>  $jobs  in due order
     * @return list<array{ready: int, inTime: int, late: bool}>
     */
    private static function byClock(int $machines, ?array $window, int $start, array $jobs): array
    {
        $queue = [];
        foreach ($jobs as $at => $job) {
            $queue = [...$queue, ...array_fill(0, $job['frames'], $at)];
        }
        $free = array_fill(0, $machines, $start);
        $told = array_map(static fn (array $j): array => ['ready' => $start, 'inTime' => 0, 'late' => false], $jobs);
        foreach ($queue as $at) {
            // the machine that is free first, and by the clock the first second at which a frame may begin
            $machine = array_keys($free, min($free), true)[0];
            for ($moment = $free[$machine]; ! self::fits($window, $moment, $jobs[$at]['seconds']); $moment++);
            $end = $moment + $jobs[$at]['seconds'];
            $free[$machine] = $end;
            $told[$at]['ready'] = max($told[$at]['ready'], $end);
            $due = $jobs[$at]['due'];
            $told[$at]['inTime'] += $due === null || $end <= $due ? 1 : 0;
            $told[$at]['late'] = $told[$at]['late'] || ($due !== null && $end > $due);
        }

        return $told;
    }

    /** @param  array{int, int}|null  $window */
    private static function fits(?array $window, int $begin, int $seconds): bool
    {
        if ($window === null) {
            return true;
        }
        $long = (($window[1] - $window[0] + 24) % 24) * 3600;
        // seconds since the hours opened last
        $since = (($begin % 86_400) - $window[0] * 3600 + 86_400) % 86_400;

        return $since < $long && $since + $seconds <= $long;
    }
}
