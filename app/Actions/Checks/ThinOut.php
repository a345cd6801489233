<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\HandIn;
use App\Models\Production;
use App\Models\Submission;
use Illuminate\Support\Carbon;

/** Lets go of old checks by the rule that a production has for it, and of deliveries that no check needs any more. */
final readonly class ThinOut
{
    /**
     * What stands longer than anything else: the newest of each deliverable, the newest that balanced, and what was
     * submitted or handed in.
     *
     * @return int how many checks went
     */
    public function run(Production $production): int
    {
        $rule = $production->retention;
        if ($rule === null) {
            return 0;
        }
        $gone = 0;
        foreach ($production->everything()->get(['id', 'production_id']) as $deliverable) {
            $gone += $this->of($deliverable, $rule['checks'], $rule['days']);
        }

        return $gone;
    }

    private function of(Deliverable $deliverable, int $checks, int $days): int
    {
        $done = $deliverable->checks()->done()->orderByDesc('id')
            ->get(['id', 'verdict', 'updated_at', 'deliverable_id']);
        $kept = $done->take(max(1, $checks))->modelKeys();
        $balanced = $done->first(static fn (Check $c): bool => $c->verdict?->value === 'balanced');
        $submitted = Submission::query()->where('deliverable_id', $deliverable->id)->pluck('check_id')
            ->merge(HandIn::query()->where('deliverable_id', $deliverable->id)->pluck('check_id'))->all();
        $old = $done->reject(static fn (Check $c): bool => in_array($c->id, [...$kept, ...$submitted], true)
            || $c->is($balanced)
            || $c->updated_at->isAfter(Carbon::now()->subDays($days)));
        foreach ($old->chunk(200) as $some) {
            Check::query()->whereIn('id', $some->modelKeys())->delete();
        }
        // a delivery that came lately may be waiting for its check
        $deliverable->deliveries()->where('created_at', '<', Carbon::now()->subDays(max(1, $days)))
            ->whereNotIn('id', $deliverable->checks()->whereNotNull('delivery_id')->select('delivery_id'))
            ->delete();

        return $old->count();
    }
}
