<?php

declare(strict_types=1);

namespace App\Actions\Changes;

use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Text\PlainSentence;

/** One change of many deliverables: of all of them, or of none. */
final readonly class ChangeTogether
{
    public function __construct(private ChangeRequirement $change) {}

    /**
     * @param  list<Deliverable>  $deliverables
     * @param  string|null  $json  null: it is asked no more
     * @return int how many were changed
     *
     * @throws PlainSentence
     */
    public function run(array $deliverables, string $id, ?string $json, User $by): int
    {
        return DB::transaction(function () use ($deliverables, $id, $json, $by): int {
            $done = 0;
            foreach ($deliverables as $deliverable) {
                $change = $this->change->run(ChangedLayer::deliverable($deliverable), '', $id, $json, $by);
                $done += $change === null ? 0 : 1;
                // what cannot be resolved is written for none of them
                $deliverable->resolved();
            }

            return $done;
        });
    }
}
