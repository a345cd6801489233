<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** One message to everybody who answers for some deliverables, in words of one's own. */
final readonly class WriteToLearners
{
    /**
     * @param  Collection<int, Deliverable>  $deliverables  with `owner` and `team`
     * @return int how many people were written to, each once
     */
    public function run(
        Production $production,
        Collection $deliverables,
        string $subject,
        string $body,
        User $by,
    ): int {
        $people = [];
        foreach ($deliverables as $deliverable) {
            foreach ($deliverable->people() as $person) {
                $people[$person->id] = $person;
            }
        }
        DB::transaction(static function () use ($production, $people, $subject, $body, $by): void {
            foreach ($people as $person) {
                $production->messages()->create([
                    'to_id' => $person->id, 'by_id' => $by->id, 'subject' => $subject, 'body' => $body,
                ]);
            }
        });

        return count($people);
    }
}
