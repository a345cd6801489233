<?php

declare(strict_types=1);

namespace PlainLedger\Core\RenderPlanning;

use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;

/**
 * One list of frames over one pool of machines, what is due first first: each machine that is free takes the next
 * frame. A frame is rendered whole, by one machine, within the hours that may be used.
 */
final readonly class RenderPlan
{
    private const MOST_FRAMES = 300_000;

    private const MOST_MACHINES = 4_096;

    /** @param  list<PlannedJob>  $jobs  in the order in which they are rendered */
    private function __construct(public MachinePool $pool, public array $jobs, public ?int $machinesNeeded) {}

    /**
     * @param  list<RenderJob>  $jobs
     *
     * @throws NotUnderstood where there are too many frames to be laid out one by one
     */
    public static function of(MachinePool $pool, array $jobs): self
    {
        $count = array_sum(array_map(static fn (RenderJob $job): int => count($job->frames), $jobs));
        if ($count > self::MOST_FRAMES) {
            $most = number_format(self::MOST_FRAMES);
            throw NotUnderstood::because(
                'These are '.number_format($count)." frames; at most {$most} are laid out at once.",
            );
        }
        // what has no date waits for what has
        $order = static fn (RenderJob $job): array => [$job->due ?? PHP_INT_MAX, $job->label];
        usort($jobs, static fn (RenderJob $a, RenderJob $b): int => $order($a) <=> $order($b));
        $runs = array_map(static fn (int $which): array => self::lay($pool, $jobs, $which), [0, 1, 2]);
        $planned = [];
        $tries = 8;
        foreach ($jobs as $at => $job) {
            $ready = self::readyIn($runs, $at);
            $late = $job->due !== null && ($ready === null || $ready[1] > $job->due);
            $scale = $late && $tries-- > 0 ? self::scaleThatFits($pool, $jobs, $at) : null;
            $planned[] = new PlannedJob($job, $ready, $runs[1][$at]['inTime'], $scale);
        }

        return new self($pool, $planned, self::needed($pool, $jobs, $runs[1]));
    }

    /**
     * @param  array<int, array<int, array{ready: int|null, inTime: FrameRange}>>  $runs by the shortest, the likely
     *   and the longest times
     * @return array{int, int, int}|null
     */
    private static function readyIn(array $runs, int $at): ?array
    {
        [$soonest, $likely, $latest] = array_map(
            static fn (int $which): ?int => $runs[$which][$at]['ready'],
            [0, 1, 2],
        );

        return $soonest === null || $likely === null || $latest === null ? null : [$soonest, $likely, $latest];
    }

    /** When everything is likely ready; null where something never is, or there is nothing. */
    public function ready(): ?int
    {
        $ready = array_map(static fn (PlannedJob $j): ?int => $j->ready[1] ?? null, $this->jobs);

        return in_array(null, $ready, true) || $ready === [] ? null : max($ready);
    }

    /** Bytes of all frames of which it is known. */
    public function bytes(): int
    {
        return array_sum(
            array_map(static fn (PlannedJob $j): int => ($j->job->bytes ?? 0) * count($j->job->frames), $this->jobs),
        );
    }

    public function frames(): int
    {
        return array_sum(array_map(static fn (PlannedJob $j): int => count($j->job->frames), $this->jobs));
    }

    /**
     * @param  list<RenderJob>  $jobs
     * @param  int  $which  0 the least, 1 the likely, 2 the most that a frame takes
     * @return list<array{ready: int|null, inTime: FrameRange}>
     */
    private static function lay(MachinePool $pool, array $jobs, int $which): array
    {
        /** @var \SplMinHeap<int> $free */
        $free = new \SplMinHeap;
        for ($i = 0; $i < $pool->machines; $i++) {
            $free->insert($pool->start);
        }
        $laid = [];
        foreach ($jobs as $job) {
            $takes = [$job->times->least, $job->times->likely, $job->times->most][$which];
            $ready = intdiv($pool->start, 1000);
            $inTime = [];
            foreach ($job->frames->numbers() as $frame) {
                $at = $free->extract();
                $begin = $pool->begin($at, $takes);
                if ($begin === null) {
                    $free->insert($at);
                    $ready = null;
                    break;
                }
                $end = $begin + $takes;
                $free->insert($end);
                $seconds = intdiv($end + 999, 1000);
                $ready = max($ready, $seconds);
                if ($job->due === null || $seconds <= $job->due) {
                    $inTime[] = $frame;
                }
            }
            $laid[] = ['ready' => $ready, 'inTime' => FrameRange::fromNumbers($inTime)];
        }

        return $laid;
    }

    /**
     * @param  list<RenderJob>  $jobs
     * @param  list<array{ready: int|null, inTime: FrameRange}>  $laid
     */
    private static function allInTime(array $jobs, array $laid): bool
    {
        foreach ($jobs as $at => $job) {
            if ($laid[$at]['ready'] === null || ($job->due !== null && $laid[$at]['ready'] > $job->due)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The fewest machines with which all of it is likely in time; null where it is anyway, or where none would do.
     *
     * @param  list<RenderJob>  $jobs
     * @param  list<array{ready: int|null, inTime: FrameRange}>  $likely
     */
    private static function needed(MachinePool $pool, array $jobs, array $likely): ?int
    {
        if (self::allInTime($jobs, $likely)) {
            return null;
        }
        $fits = static fn (int $machines): bool => self::allInTime(
            $jobs,
            self::lay($pool->withMachines($machines), $jobs, 1),
        );
        $most = $pool->machines;
        do {
            $most *= 2;
            if ($most > self::MOST_MACHINES * 2) {
                return null;
            }
        } while (! $fits($most));
        $least = intdiv($most, 2);
        while ($most - $least > 1) {
            $middle = intdiv($least + $most, 2);
            $fits($middle) ? $most = $middle : $least = $middle;
        }

        return $most;
    }

    /** @param  list<RenderJob>  $jobs */
    private static function scaleThatFits(MachinePool $pool, array $jobs, int $at): ?int
    {
        $fits = static function (int $percent) use ($pool, $jobs, $at): bool {
            $own = $jobs[$at]->scaled($percent);
            $ready = self::lay($pool, [...array_slice($jobs, 0, $at), $own], 1)[$at]['ready'];

            return $ready !== null && $ready <= $own->due;
        };
        if (! $fits(10)) {
            return null;
        }
        [$good, $bad] = [10, 100];
        while ($bad - $good > 1) {
            $middle = intdiv($good + $bad, 2);
            $fits($middle) ? $good = $middle : $bad = $middle;
        }

        return $good;
    }
}
