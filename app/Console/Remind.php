<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Deliverable;
use App\Models\NoticeKind;
use App\Notices\Tell;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;
use PlainLedger\Core\Checking\Verdict;

/** Tells owners, once for each due time, what is due within a day and does not balance. */
final class Remind extends Command
{
    protected $signature = 'ledger:remind';

    protected $description = 'Tells owners what is due within a day and does not balance';

    public function handle(): int
    {
        $due = Deliverable::query()->with('owner', 'production', 'newest')->whereNull('put_away_at')
            ->whereNotNull('owner_id')
            ->whereHas('production', fn ($production) => $production->whereNull('archived_at'))
            ->whereBetween('due_at', [now(), now()->addDay()])->get();
        foreach ($due as $deliverable) {
            $isOpen = $deliverable->newest?->verdict !== Verdict::Balanced;
            // another due time is told anew
            $key = "reminded:{$deliverable->id}:{$deliverable->due_at?->getTimestamp()}";
            if ($isOpen && Cache::add($key, true, now()->addDays(2))) {
                $zone = $deliverable->production->zone();
                Tell::all(
                    [$deliverable->owner],
                    NoticeKind::Due,
                    $deliverable->production,
                    "{$deliverable->code} is due {$deliverable->due_at?->setTimezone($zone)->format('j M, H:i T')}, "
                        .'and does not balance: '.($deliverable->newest->holds_up ?? 'nothing was checked yet'),
                    route('deliverable', $deliverable->id, false),
                );
            }
        }

        return self::SUCCESS;
    }
}
