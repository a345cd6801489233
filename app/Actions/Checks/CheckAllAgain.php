<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Deliverable;
use App\Models\User;

/** The newest check once more: of one deliverable at once, of all others of its specification by the queue. */
final readonly class CheckAllAgain
{
    public function __construct(private RepeatCheck $repeat) {}

    public function run(Deliverable $deliverable, bool $all, User $by): void
    {
        (new CheckAgain($deliverable->id, $by->id))->handle($this->repeat);
        if (! $all) {
            return;
        }
        $others = Deliverable::query()->where('production_id', $deliverable->production_id)
            ->where('specification_id', $deliverable->specification_id)
            ->whereKeyNot($deliverable->id)
            ->whereHas('checks')
            ->orderBy('id')
            ->pluck('id');
        foreach ($others as $id) {
            CheckAgain::dispatch((int) $id, $by->id);
        }
    }
}
