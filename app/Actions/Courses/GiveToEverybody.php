<?php

declare(strict_types=1);

namespace App\Actions\Courses;

use App\Actions\Specifications\MakeDeliverable;
use App\Actions\Specifications\NewDeliverable;
use App\Models\Assignment;
use App\Models\Deliverable;
use App\Models\Membership;
use App\Models\Role;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes a deliverable of an assignment for each learner who has none of it yet. */
final readonly class GiveToEverybody
{
    public function __construct(private MakeDeliverable $make) {}

    /** @return int how many were made */
    public function run(Specification $specification, User $by): int
    {
        return DB::transaction(function () use ($specification, $by): int {
            $without = self::without($specification);
            $due = Assignment::of($specification)->due_at;
            foreach ($without as $learner) {
                $this->make->run($specification->production, new NewDeliverable(
                    self::code($specification, $learner),
                    $specification->title,
                    $learner->id,
                    $due,
                    '',
                    $specification->id,
                    '',
                ), [], $by);
            }

            return $without->count();
        });
    }

    /** @return Collection<int, User> learners who neither have one nor are in a team that has */
    public static function without(Specification $specification): Collection
    {
        $owed = Deliverable::query()->where('specification_id', $specification->id)->with('team')->get();
        $having = $owed->pluck('owner_id')->merge($owed->flatMap(static fn (Deliverable $d) => $d->team->modelKeys()));
        $learners = $specification->production->memberships()->where('role', Role::Learner)->with('user')->get();

        return $learners->map(static fn (Membership $m): User => $m->user)
            ->reject(static fn (User $user): bool => $user->disabled_at !== null || $having->contains($user->id))
            ->sortBy('name')->values()->toBase();
    }

    /** One that no other has: whose it is, and what. */
    private static function code(Specification $specification, User $learner): string
    {
        $title = Str::slug(explode(' ', trim($specification->title))[0], '_');
        $base = mb_substr("{$learner->handle}_".($title === '' ? 'work' : $title), 0, 70);
        $code = $base;
        $all = $specification->production->everything();
        for ($n = 2; (clone $all)->where('code', $code)->exists(); $n++) {
            $code = "{$base}_{$n}";
        }

        return $code;
    }
}
