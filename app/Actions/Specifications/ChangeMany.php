<?php

declare(strict_types=1);

namespace App\Actions\Specifications;

use App\Models\Production;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Gives many deliverables of a production the same, all of them or none. */
final readonly class ChangeMany
{
    /**
     * @param  list<int>  $ids
     * @param  array{owner_id?: int|null, due_at?: Carbon|null, title?: string,
     *   specification_id?: int, put_away_at?: Carbon|null}  $values
     * @return int how many were changed
     */
    public function run(Production $production, array $ids, array $values): int
    {
        return DB::transaction(static function () use ($production, $ids, $values): int {
            $changed = 0;
            foreach ($production->everything()->whereKey($ids)->orderBy('code')->get() as $deliverable) {
                $deliverable->fill($values);
                if ($deliverable->isDirty()) {
                    $deliverable->save();
                    $changed++;
                }
                if (isset($values['specification_id'])) {
                    // what it owes follows from the specification
                    $deliverable->loadAsked()->keepParts();
                }
            }

            return $changed;
        });
    }
}
