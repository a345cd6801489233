<?php

declare(strict_types=1);

namespace App\Http\Pages;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\RenderPlanning\PlannedJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** A plan of renders as pages show it. */
final readonly class PlanPage
{
    /** @return array<string, mixed> as pages show it */
    public static function of(RenderPlan $plan): array
    {
        $ready = $plan->ready();

        return [
            'ready' => $ready === null ? null : self::spoken($ready),
            'machines' => $plan->pool->machines,
            'needed' => $plan->machinesNeeded,
            'frames' => $plan->frames(),
            'bytes' => $plan->bytes() === 0 ? null : (string) ByteSize::of($plan->bytes()),
            'jobs' => array_map(self::line(...), $plan->jobs),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(PlannedJob $planned): array
    {
        $job = $planned->job;
        $late = $planned->lateBy();
        $spoken = static fn (int $seconds): string => \PlainLedger\Core\Calculator\RenderTimes::spoken(
            \Brick\Math\BigRational::of(abs($seconds)),
        );
        $one = static fn (int $ms): string => \PlainLedger\Core\Calculator\RenderTimes::spoken(
            \Brick\Math\BigRational::nd($ms, 1000),
        );

        return [
            'id' => (int) $job->key, 'code' => $job->label, 'frames' => (string) $job->frames,
            'count' => count($job->frames), 'word' => $planned->word(),
            'perFrame' => $job->times->isRange()
                ? "{$one($job->times->least)} to {$one($job->times->most)}"
                : $one($job->times->likely),
            'samples' => $job->times->samples,
            'ready' => $planned->ready === null ? null : array_map(self::spoken(...), $planned->ready),
            'due' => $job->due === null ? null : self::spoken($job->due),
            'late' => match (true) {
                $late === null => null,
                $late > 0 => "{$spoken($late)} late",
                default => "{$spoken($late)} to spare",
            },
            'fits' => $late === null || $late <= 0
                ? null
                : [
                    'range' => (string) $planned->inTime,
                    'count' => count($planned->inTime),
                    'scale' => $planned->scale,
                ],
            'disk' => $job->bytes === null ? null : (string) ByteSize::of($job->bytes * count($job->frames)),
        ];
    }

    private static function spoken(int $local): string
    {
        return gmdate('D j M, H:i', $local);
    }
}
