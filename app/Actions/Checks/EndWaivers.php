<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Deliverable;
use App\Models\Waiver;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Report\CheckReport;

/** What was accepted for one deliverable ends when its line shows another value. */
final readonly class EndWaivers
{
    public function run(Deliverable $deliverable, CheckReport $account): void
    {
        $held = [];
        $shown = [];
        foreach ($account->check->entries as $entry) {
            $key = "{$entry->id()}\t{$entry->part}\t{$entry->pass}";
            if ($entry->waiver?->key !== null) {
                $held[$entry->waiver->key] = true;
            }
            if ($entry->mark !== Mark::Unknown) {
                $shown[$key] = true;
            }
        }
        foreach (Waiver::query()->where('deliverable_id', $deliverable->id)->whereNull('ended_at')->get() as $waiver) {
            if (! isset($held[$waiver->id]) && isset($shown["{$waiver->entry}\t{$waiver->part}\t{$waiver->pass}"])) {
                $waiver->update(['ended_at' => Carbon::now()]);
            }
        }
    }
}
