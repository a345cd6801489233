<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Audit\Chain;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Who answers for a deliverable together with its owner: all of them see it, hand it in, and get its points. */
final readonly class KeepTeam
{
    /**
     * @param  list<int>  $members  people of the production
     *
     * @throws CourseWorkRefused where somebody has the same assignment already
     */
    public function run(Deliverable $deliverable, array $members, User $by): void
    {
        DB::transaction(static function () use ($deliverable, $members, $by): void {
            $people = $deliverable->production->memberships()->whereIn('user_id', $members)
                ->where('user_id', '!=', $deliverable->owner_id)->with('user')->get()->pluck('user');
            foreach ($people as $person) {
                $other = Deliverable::query()->where('specification_id', $deliverable->specification_id)
                    ->whereKeyNot($deliverable->id)->owedBy($person)->whereNull('put_away_at')->first();
                if ($other !== null) {
                    throw CourseWorkRefused::because(Phrase::of(
                        ':name has this assignment already, as :code. Put that away first.',
                        ['name' => $person->name, 'code' => $other->code],
                    ));
                }
            }
            $deliverable->team()->sync($people->pluck('id')->all());
            Chain::add($deliverable->id, 'made a team', [
                'id' => 'with', 'part' => $deliverable->code,
                'reason' => $people->pluck('name')->implode(', ') ?: 'nobody',
            ], $by);
        });
    }
}
