<?php

declare(strict_types=1);

namespace Tests\Core\RenderPlanning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;
use PlainLedger\Core\RenderPlanning\PlannedJob;
use PlainLedger\Core\RenderPlanning\RenderJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** When frames will be ready, and what would make it. */
final class RenderPlanTest extends TestCase
{
    /** Midnight of a day. */
    private const DAY = 1_790_035_200;

    private static function job(
        string $label,
        string $range,
        string $times,
        ?int $due = null,
        ?int $bytes = null,
    ): RenderJob {
        return new RenderJob($label, $label, FrameRange::parse($range), FrameTimes::parse($times), $due, $bytes);
    }

    /** @return iterable<string, array{string, array{int, int, int}}> milliseconds at least, likely, at most */
    public static function times(): iterable
    {
        yield 'typed' => ['4 min 30 s', [270_000, 270_000, 270_000]];
        yield 'two' => ['60 s, 70 s', [60_000, 65_000, 70_000]];
        yield 'four of them: their bounds' => ['60, 70, 80, 62', [60_000, 68_000, 80_000]];
        yield 'five alike' => ['60, 60, 60, 60, 60', [60_000, 60_000, 60_000]];
        // mean 64, Σ(t − mean)² = 112, two standard errors 2 √(112 ÷ 30) = 3.864 s
        yield 'six: two standard errors' => ['56, 62, 64, 66, 70; 66', [60_136, 64_000, 67_864]];
        yield 'by the clock' => ['1:10, 0:50', [50_000, 60_000, 70_000]];
        yield 'a millisecond at the least' => ['0.0001 s', [1, 1, 1]];
    }

    /** @param  array{int, int, int}  $expected */
    #[DataProvider('times')]
    public function test_times_of_a_frame(string $text, array $expected): void
    {
        $times = FrameTimes::parse($text);
        self::assertEqualsWithDelta($expected, [$times->least, $times->likely, $times->most], 2);
        self::assertSame($times->least !== $times->most, $times->isRange());
    }

    public function test_whole_frames_on_machines_in_rounds(): void
    {
        // 10 frames on 4 machines are three rounds
        $plan = RenderPlan::of(MachinePool::of(4, self::DAY), [self::job('a', '1-10', '60 s', self::DAY + 180, 1000)]);
        self::assertSame(
            [self::DAY + 180, 'in time', null, 10_000, 10, '1-10'],
            [
                $plan->ready(), $plan->jobs[0]->word(), $plan->machinesNeeded, $plan->bytes(), $plan->frames(),
                (string) $plan->jobs[0]->inTime,
            ],
        );
        $late = RenderPlan::of(MachinePool::of(4, self::DAY), [self::job('a', '1001-1010', '60 s', self::DAY + 179)]);
        self::assertSame(
            ['late', 1, 5, '1001-1008', 99],
            [
                $late->jobs[0]->word(),
                $late->jobs[0]->lateBy(),
                $late->machinesNeeded,
                (string) $late->jobs[0]->inTime,
                $late->jobs[0]->scale,
            ],
        );
    }

    public function test_one_list_in_due_order_over_one_pool(): void
    {
        $plan = RenderPlan::of(MachinePool::of(2, self::DAY), [
            self::job('no date', '1-2', '10 s'),
            self::job('later', '1-4', '10 s', self::DAY + 40),
            self::job('sooner', '1-4', '10 s', self::DAY + 25),
        ]);
        self::assertSame(
            [['sooner', 20], ['later', 40], ['no date', 50]],
            array_map(
                static fn (PlannedJob $j): array => [$j->job->label, ($j->ready[1] ?? 0) - self::DAY],
                $plan->jobs,
            ),
        );
        self::assertSame(
            ['in time', 'in time', 'no date'],
            array_map(static fn (PlannedJob $j): string => $j->word(), $plan->jobs),
        );
        // a machine that is free takes the next job's frame while the other is still at work
        $odd = RenderPlan::of(
            MachinePool::of(2, self::DAY),
            [self::job('a', '1-3', '10 s', self::DAY + 20), self::job('b', '1', '10 s', self::DAY + 30)],
        );
        self::assertSame(
            [20, 20],
            array_map(static fn (PlannedJob $j): int => ($j->ready[1] ?? 0) - self::DAY, $odd->jobs),
        );
    }

    public function test_samples_give_a_range(): void
    {
        $plan = RenderPlan::of(MachinePool::of(1, self::DAY), [self::job('a', '1-10', '50 s, 70 s', self::DAY + 600)]);
        self::assertSame(
            [[500, 600, 700], 'perhaps late', -100, 0, 100],
            [
                array_map(static fn (int $r): int => $r - self::DAY, $plan->jobs[0]->ready ?? []),
                $plan->jobs[0]->word(),
                $plan->jobs[0]->lateBy(0),
                $plan->jobs[0]->lateBy(1),
                $plan->jobs[0]->lateBy(2),
            ],
        );
        self::assertNull($plan->machinesNeeded);
    }

    public function test_hours_of_the_day(): void
    {
        $hour = 3600;
        // from 19 to 7 overnight, begun at noon: twelve frames of an hour the first night
        $pool = MachinePool::of(1, self::DAY + 12 * $hour, '19:00-07:00');
        $plan = RenderPlan::of(
            $pool,
            [self::job('a', '1-12', '1 h', self::DAY + 31 * $hour), self::job('b', '1', '1 h', self::DAY + 40 * $hour)],
        );
        self::assertSame(
            [31, 44],
            array_map(static fn (PlannedJob $j): int => intdiv(($j->ready[1] ?? 0) - self::DAY, $hour), $plan->jobs),
        );
        self::assertSame(['in time', 'late'], array_map(static fn (PlannedJob $j): string => $j->word(), $plan->jobs));
        self::assertSame(
            [2, 96],
            [
                $plan->machinesNeeded,
                RenderPlan::of($pool, [self::job('a', '1-13', '1 h', self::DAY + 31 * $hour)])->jobs[0]->scale,
            ],
        );
        // a frame is not begun that would not be finished
        $day = RenderPlan::of(MachinePool::of(1, self::DAY, '9:00 to 17:30'), [self::job('a', '1-9', '1 h')]);
        self::assertSame(24 + 9 + 1, intdiv(($day->ready() ?? 0) - self::DAY, $hour));
        // begun within the hours, it starts at once
        self::assertSame(
            self::DAY + 3 * $hour,
            RenderPlan::of(
                MachinePool::of(1, self::DAY + 2 * $hour, '19:00-7:00'),
                [self::job('a', '1', '1 h')],
            )->ready(),
        );
        $never = RenderPlan::of(
            MachinePool::of(3, self::DAY, '10:00-11:00'),
            [self::job('a', '1', '2 h', self::DAY + 90 * $hour), self::job('b', '1', '1 h')],
        );
        self::assertSame(
            ['never', null, null, 'no date', null, 70],
            [
                $never->jobs[0]->word(), $never->ready(), $never->machinesNeeded, $never->jobs[1]->word(),
                $never->jobs[1]->lateBy(), $never->jobs[0]->scale,
            ],
        );
    }

    /** @return iterable<string, array{string}> */
    public static function hours(): iterable
    {
        foreach (['', 'all day', '0:00-24:00', '00:00 – 24:00', '7:00-7:00'] as $text) {
            yield $text => [$text];
        }
    }

    #[DataProvider('hours')]
    public function test_all_day(string $hours): void
    {
        self::assertNull(MachinePool::of(1, self::DAY, $hours)->longest());
    }

    public function test_what_cannot_be_planned_is_told(): void
    {
        foreach ([
            static fn () => MachinePool::of(0, 0),
            static fn () => MachinePool::of(1, 0, '25:00-7:00'),
            static fn () => MachinePool::of(1, 0, 'at night'),
            static fn () => FrameTimes::parse(' , '),
            static fn () => FrameTimes::parse('soon'),
            static fn () => RenderPlan::of(MachinePool::of(1, 0), [self::job('a', '1-300001', '1 s')]),
        ] as $at => $wrong) {
            try {
                $wrong();
                self::fail("{$at} was taken");
            } catch (NotUnderstood $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        self::assertSame(
            [null, 0, []],
            [
                RenderPlan::of(MachinePool::of(1, 0), [])->ready(),
                RenderPlan::of(MachinePool::of(1, 0), [])->bytes(),
                RenderPlan::of(MachinePool::of(1, 0), [])->jobs,
            ],
        );
        // where no count of machines would do, none is named
        self::assertSame(
            [null, null],
            [
                (
                    $short = RenderPlan::of(
                        MachinePool::of(1, self::DAY),
                        [self::job('a', '1-2', '1 h', self::DAY + 10)],
                    )
                )->machinesNeeded,
                $short->jobs[0]->scale,
            ],
        );
    }
}
