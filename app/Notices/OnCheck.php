<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\CheckEnded;
use App\Models\Membership;
use App\Models\NoticeKind;
use App\Models\User;

/** Tells who began a check that it has ended, and who decides that somebody has brought something in. */
final readonly class OnCheck
{
    public function handle(CheckEnded $ended): void
    {
        $check = $ended->check;
        $deliverable = $check->deliverable;
        $production = $deliverable->production;
        $verdict = $check->verdict->value ?? 'open';
        $says = "{$deliverable->code}: ".($verdict === 'balanced' ? 'balances' : ($check->holds_up ?? $verdict));
        $url = route('check', $check->id, false);
        $by = $check->user_id === null ? null : User::query()->find($check->user_id);
        Tell::all([$by], NoticeKind::Checked, $production, $says, $url);
        if ($by !== null && $by->roleIn($production->id)?->decides() !== true) {
            $deciders = $production->memberships()->with('user')->get()
                ->filter(static fn (Membership $m): bool => $m->role->decides())
                ->map(static fn (Membership $m): User => $m->user);
            $from = route('deliverable', $deliverable->id, false);
            Tell::all($deciders, NoticeKind::HandedIn, $production, "{$by->name} brought in {$says}", $from);
        }
    }
}
