<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Deliverable;
use App\Models\HistoryEntry;
use App\Models\Membership;
use App\Models\NoticeKind;
use App\Models\User;

/** Tells who made something that it is signed off, or not any more; and who decides that something is handed in. */
final readonly class OnAct
{
    public static function begin(): void
    {
        HistoryEntry::created(self::tell(...));
    }

    private static function tell(HistoryEntry $entry): void
    {
        $says = match ($entry->act) {
            'signed off' => "is signed off by {$entry->who}",
            'withdrew' => "is not signed off any more: {$entry->facts['why']}",
            'handed in' => "is handed in by {$entry->who}, attempt {$entry->facts['attempt']}",
            default => null,
        };
        $deliverable = $says === null ? null : Deliverable::query()->with('owner', 'team', 'production')
            ->find($entry->deliverable_id);
        if ($deliverable === null) {
            return;
        }
        $isHandedIn = $entry->act === 'handed in';
        Tell::all(
            // nobody is told what they did themselves
            array_filter(
                $isHandedIn ? self::deciders($deliverable) : $deliverable->people(),
                static fn (User $user): bool => $user->name !== $entry->who,
            ),
            $isHandedIn ? NoticeKind::HandedIn : NoticeKind::SignedOff,
            $deliverable->production,
            "{$deliverable->code} {$says}",
            route($isHandedIn ? 'hand-in' : 'submission', $deliverable->id, false),
        );
    }

    /** @return list<User> */
    private static function deciders(Deliverable $deliverable): array
    {
        $members = $deliverable->production->memberships()->with('user')->get();

        return array_values($members->filter(static fn (Membership $m): bool => $m->role->decides())
            ->map(static fn (Membership $m): User => $m->user)->all());
    }
}
