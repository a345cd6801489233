<?php

declare(strict_types=1);

namespace App\Http\Pages\Render;

use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\RenderPlanning\PlannedJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;

/** When a plan is ready, job by job. */
final readonly class Plan
{
    public ?string $ready;

    public int $machines;

    public ?int $needed;

    public int $frames;

    public ?string $bytes;

    /** @var list<PlanJob> */
    public array $jobs;

    public function __construct(RenderPlan $plan)
    {
        $ready = $plan->ready();
        $this->ready = $ready === null ? null : PlanJob::spoken($ready);
        $this->machines = $plan->pool->machines;
        $this->needed = $plan->machinesNeeded;
        $this->frames = $plan->frames();
        $this->bytes = $plan->bytes() === 0 ? null : (string) ByteSize::of($plan->bytes());
        $this->jobs = array_map(static fn (PlannedJob $job): PlanJob => new PlanJob($job), $plan->jobs);
    }
}
