<?php

declare(strict_types=1);

namespace App\Rendering;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\RenderLog;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;
use PlainLedger\Core\RenderPlanning\RenderJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;
use PlainLedger\Core\Specification\Consequences;
use PlainLedger\Core\Specification\Delivers;
use PlainLedger\Core\Text\PlainSentence;

/** What is still to be rendered of a deliverable, and how long a frame takes. */
final readonly class RenderWork
{
    public static function pool(Production $production, ?int $machines = null, ?string $hours = null): MachinePool
    {
        return MachinePool::of(
            $machines ?? $production->pool['machines'] ?? 1,
            self::local(Carbon::now(), $production),
            $hours ?? $production->pool['hours'] ?? '',
        );
    }

    /** Of the clock on the wall where the production is, which knows no zones. */
    public static function local(Carbon $moment, Production $production): int
    {
        return $moment->getTimestamp() + $moment->copy()->setTimezone($production->zone())->getOffset();
    }

    /**
     * The frames that are due: those the newest check of files wants again, less those a log says are finished since;
     * all that is asked where no files have come. Null where no numbered frames are asked.
     */
    public static function frames(Deliverable $deliverable): ?FrameRange
    {
        $frames = self::wantedByCheck($deliverable) ?? self::wantedAtAll($deliverable);
        $log = self::newestLog($deliverable);
        if ($frames === null || $log === null || self::isOlderThanFiles($log, $deliverable)) {
            return $frames;
        }
        $finished = $log->reading['finished'] ?? null;

        return is_string($finished) && $finished !== '' ? $frames->minus(FrameRange::parse($finished)) : $frames;
    }

    /** A log that is older than the files tells nothing that they do not. */
    private static function isOlderThanFiles(RenderLog $log, Deliverable $deliverable): bool
    {
        $newest = $deliverable->newest;

        return $newest?->delivery_id !== null && ! $newest->updated_at->isBefore($log->updated_at);
    }

    private static function wantedByCheck(Deliverable $deliverable): ?FrameRange
    {
        $frames = $deliverable->newest->summary['render']['frames'] ?? null;
        try {
            return $frames === null ? null : FrameRange::parse($frames);
        } catch (PlainSentence) {
            return FrameRange::none();
        }
    }

    private static function wantedAtAll(Deliverable $deliverable): ?FrameRange
    {
        foreach ($deliverable->draft()->specification->parts as $part) {
            $frames = $part->delivers === Delivers::Frames ? $part->expected() : null;
            if ($frames !== null) {
                return $frames;
            }
        }

        return null;
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

    /** Everything of a production that is still due and has a time, as one list. */
    public static function plan(Production $production, MachinePool $pool): RenderPlan
    {
        $jobs = array_filter(self::owed($production)->map(self::job(...))->all());

        return RenderPlan::of($pool, array_values($jobs));
    }

    /** @return list<array{id: int, code: string, frames: string}> due, with no time known for a frame */
    public static function untimed(Production $production): array
    {
        $list = [];
        foreach (self::owed($production) as $deliverable) {
            $frames = self::frames($deliverable);
            if ($frames !== null && ! $frames->isEmpty() && self::times($deliverable) === null) {
                $list[] = ['id' => $deliverable->id, 'code' => $deliverable->code, 'frames' => (string) $frames];
            }
        }

        return $list;
    }

    /** @return Collection<int, Deliverable> */
    private static function owed(Production $production): Collection
    {
        return $production->deliverables()->forBoard()->with('renderLogs')->orderBy('code')->get();
    }

    /** What one picture takes before it is compressed, as far as what is asked tells it. */
    public static function uncompressedFrame(Deliverable $deliverable): ?string
    {
        $asked = $deliverable->draft()->specification;
        foreach ($asked->parts as $part) {
            foreach (Consequences::of($asked, $part)->lines as $line) {
                if ($line['label'] === Consequences::UNCOMPRESSED) {
                    return $line['value'];
                }
            }
        }

        return null;
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
                $deliverable->due_at === null ? null : self::local($deliverable->due_at, $deliverable->production),
                self::bytes($deliverable),
            );
    }
}
