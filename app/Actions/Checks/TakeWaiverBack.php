<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Deliverable;
use App\Models\User;
use App\Models\Waiver;
use Illuminate\Support\Carbon;

/** Ends a waiver: what was accepted by it is unequal again. */
final readonly class TakeWaiverBack
{
    public function __construct(private CheckAllAgain $again) {}

    /** @param  Deliverable|null  $seen  what somebody looks at: of many, that one is checked again at once */
    public function run(Waiver $waiver, ?Deliverable $seen, User $by): void
    {
        $deliverable = $this->deliverable($waiver, $seen);
        $waiver->update(['ended_at' => Carbon::now()]);
        $this->again->run($deliverable, $waiver->deliverable_id === null, $by);
    }

    private function deliverable(Waiver $waiver, ?Deliverable $seen): Deliverable
    {
        if ($waiver->deliverable_id !== null) {
            return Deliverable::query()->withAsked()->findOrFail($waiver->deliverable_id);
        }
        $following = $waiver->production->deliverables()->where('specification_id', $waiver->specification_id);

        return $seen !== null && (clone $following)->whereKey($seen->id)->exists()
            ? $seen->loadAsked()
            : $following->withAsked()->firstOrFail();
    }
}
