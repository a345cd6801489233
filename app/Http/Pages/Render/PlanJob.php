<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use Brick\Math\BigRational;
use PlainLedger\Core\Calculator\RenderTimes;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\PlannedJob;

/** One deliverable of a plan. */
final readonly class PlanJob
{
    public int $id;

    public string $code;

    public string $frames;

    public int $count;

    /** @var 'in time'|'late'|'perhaps late'|'never'|'no date' */
    public string $word;

    public string $perFrame;

    public int $samples;

    /** @var array{string, string, string}|null at the earliest, likely, at the latest */
    public ?array $ready;

    public ?string $due;

    public ?string $late;

    /** @var array{range: string, count: int, scale: int|null}|null what would be in time */
    public ?array $fits;

    public ?string $disk;

    public function __construct(PlannedJob $planned)
    {
        $job = $planned->job;
        $late = $planned->lateBy();
        $this->id = (int) $job->key;
        $this->code = $job->label;
        $this->frames = (string) $job->frames;
        $this->count = count($job->frames);
        $this->word = $planned->word();
        $this->perFrame = self::perFrame($job->times);
        $this->samples = $job->times->samples;
        $this->ready = $planned->ready === null ? null : array_map(self::spoken(...), $planned->ready);
        $this->due = $job->due === null ? null : self::spoken($job->due);
        $this->late = $late === null ? null : self::long(abs($late)).($late > 0 ? ' late' : ' to spare');
        $this->fits = $late === null || $late <= 0 ? null : [
            'range' => (string) $planned->inTime, 'count' => count($planned->inTime), 'scale' => $planned->scale,
        ];
        $this->disk = $job->bytes === null ? null : (string) ByteSize::of($job->bytes * count($job->frames));
    }

    private static function perFrame(FrameTimes $times): string
    {
        $spoken = static fn (int $ms): string => RenderTimes::spoken(BigRational::nd($ms, 1000));

        return $times->isRange() ? "{$spoken($times->least)} to {$spoken($times->most)}" : $spoken($times->likely);
    }

    private static function long(int $seconds): string
    {
        return RenderTimes::spoken(BigRational::of($seconds));
    }

    /** @param  int  $local  seconds of the clock that hangs here */
    public static function spoken(int $local): string
    {
        return gmdate('D j M, H:i', $local);
    }
}
