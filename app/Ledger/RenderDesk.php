<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\RenderLog;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;
use PlainLedger\Core\RenderPlanning\PlannedJob;
use PlainLedger\Core\RenderPlanning\RenderJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;
use PlainLedger\Core\Text\PlainSentence;

/** What is still to be rendered, how long a frame takes, and when it will all be ready. */
final readonly class RenderDesk
{
    public static function pool(Production $production, ?int $machines = null, ?string $hours = null): MachinePool
    {
        return MachinePool::of(
            $machines ?? $production->pool['machines'] ?? 1,
            self::local(Carbon::now()),
            $hours ?? $production->pool['hours'] ?? '',
        );
    }

    /** Of the clock on the wall, which knows no zones. */
    public static function local(Carbon $moment): int
    {
        return $moment->getTimestamp() + $moment->getOffset();
    }

    public static function spoken(int $local): string
    {
        return gmdate('D j M, H:i', $local);
    }

    /**
     * The frames that are due: those the newest check of files wants again, less those a log says are finished since;
     * all that is asked where no files have come. Null where no numbered frames are asked.
     */
    public static function frames(Deliverable $deliverable): ?FrameRange
    {
        $render = $deliverable->newest?->summary['render'] ?? null;
        try {
            $frames = $render === null ? null : FrameRange::parse($render['frames'] === '' ? '' : $render['frames']);
        } catch (PlainSentence) {
            $frames = FrameRange::none();
        }
        if ($frames === null) {
            foreach ($deliverable->draft()->specification->parts as $part) {
                $frames ??= $part->delivers->value === 'frames' ? $part->expected() : null;
            }
        }
        $log = self::newestLog($deliverable);
        $reading = $log === null ? null : $log->reading;
        $finished = is_string($reading['finished'] ?? null) ? $reading['finished'] : '';
        // a log that is older than the files tells nothing that they do not
        if (
            $frames !== null
            && $log !== null
            && $finished !== ''
            && (
                $deliverable->newest?->delivery_id === null
                || $deliverable->newest->updated_at->isBefore($log->updated_at)
            )
        ) {
            $frames = $frames->minus(FrameRange::parse($finished));
        }

        return $frames;
    }

    public static function newestLog(Deliverable $deliverable): ?RenderLog
    {
        return $deliverable->relationLoaded('renderLogs')
            ? $deliverable->renderLogs->sortByDesc('id')->first()
            : $deliverable->renderLogs()->latest('id')->first();
    }

    /**
     * What a frame takes: as it was typed, else by its log, else by when the files of a delivery were written.
     *
     * @return array{FrameTimes, string}|null the times, and where they are from
     */
    public static function times(Deliverable $deliverable): ?array
    {
        if ($deliverable->frame_times !== null && $deliverable->frame_times !== '') {
            try {
                return [FrameTimes::parse($deliverable->frame_times), 'typed'];
            } catch (NotUnderstood) {
                return null;
            }
        }
        $reading = self::newestLog($deliverable)?->reading;
        $sample = array_values(
            array_filter(is_array($reading['sample'] ?? null) ? $reading['sample'] : [], is_int(...)),
        );
        if ($sample !== []) {
            return [FrameTimes::ofMilliseconds($sample), 'by its log'];
        }
        $gaps = $deliverable->newest?->summary['render']['gaps'] ?? [];

        return count($gaps) < 3
            ? null
            : [
                FrameTimes::ofMilliseconds(array_map(static fn (int $s): int => $s * 1000, $gaps)),
                'by when its files were written',
            ];
    }

    private static function bytes(Deliverable $deliverable): ?int
    {
        if ($deliverable->frame_size !== null && $deliverable->frame_size !== '') {
            return ByteSize::parse($deliverable->frame_size)->bytes;
        }

        return $deliverable->newest?->summary['render']['bytes'] ?? null;
    }

    public static function job(Deliverable $deliverable): ?RenderJob
    {
        $frames = self::frames($deliverable);
        $times = self::times($deliverable);

        return $frames === null || $frames->isEmpty() || $times === null ? null
            : new RenderJob(
                (string) $deliverable->id,
                $deliverable->code,
                $frames,
                $times[0],
                $deliverable->due_at === null ? null : self::local($deliverable->due_at),
                self::bytes($deliverable),
            );
    }

    /** @return array<string, mixed> as pages show it */
    public static function shown(RenderPlan $plan): array
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
            'late' => $late === null ? null : ($late > 0 ? "{$spoken($late)} late" : "{$spoken($late)} to spare"),
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
}
