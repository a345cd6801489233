<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\Pages\Specification\Presence;
use App\Models\Deliverable;
use App\Models\Role;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;

/** Who looks at what is asked just now, and whether it has changed. */
final class PresenceController
{
    /** Seconds after which somebody who said nothing is not there any more. */
    private const PRESENT = 30;

    private const MOST_TOLD = 20;

    public function store(#[CurrentUser] User $reader, Deliverable $deliverable): JsonResponse
    {
        $deliverable->loadAsked();

        $others = array_slice($this->others($reader, $deliverable), 0, self::MOST_TOLD);

        return response()->json(new Presence($others, $deliverable));
    }

    /** @return list<string> who that is, is nothing for a learner to know */
    private function others(User $reader, Deliverable $deliverable): array
    {
        $key = "presence:{$deliverable->specification_id}";
        $now = time();
        $kept = Cache::get($key);
        /** @var array<int, array{string, int}> $there */
        $there = array_filter(
            is_array($kept) ? $kept : [],
            static fn (array $each): bool => $each[1] > $now - self::PRESENT,
        );
        $there[$reader->id] = [$reader->name, $now];
        Cache::put($key, $there, self::PRESENT * 2);
        unset($there[$reader->id]);

        return $reader->roleIn($deliverable->production_id) !== Role::Learner
            ? array_column($there, 0)
            : array_map(static fn (): string => 'Somebody', array_values($there));
    }
}
