<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\Change;
use App\Models\CheckEnded;
use App\Models\CheckState;
use App\Models\Waiver;
use Illuminate\Support\Facades\Event;

/** What is written into the chain of a deliverable as it happens. Sign-offs write themselves. */
final readonly class ChainRecordings
{
    public static function begin(): void
    {
        Event::listen(CheckEnded::class, static function (CheckEnded $ended): void {
            $check = $ended->check;
            if ($check->state === CheckState::Done) {
                Chain::add($check->deliverable_id, 'checked', [
                    'check' => $check->id, 'verdict' => $check->verdict?->value,
                    'document' => hash('sha256', (string) gzdecode((string) $check->document)),
                ], $check->person);
            }
        });
        Waiver::created(static fn (Waiver $w) => self::accepted($w, 'accepted'));
        Waiver::updated(static fn (Waiver $w) => $w->wasChanged('ended_at') && $w->ended_at !== null
            ? self::accepted($w, 'stopped to accept')
            : null);
        Change::created(static fn (Change $c) => self::asked($c, 'asked otherwise'));
        Change::updated(static fn (Change $c) => $c->wasChanged('undone')
            ? self::asked($c, $c->undone ? 'took back what was asked' : 'asked it again')
            : null);
    }

    private static function accepted(Waiver $waiver, string $act): void
    {
        if ($waiver->deliverable_id !== null) {
            Chain::add($waiver->deliverable_id, $act, [
                'id' => $waiver->entry, 'part' => $waiver->part, 'pass' => $waiver->pass,
                'required' => $waiver->required, 'reason' => $waiver->reason,
            ]);
        }
    }

    private static function asked(Change $change, string $act): void
    {
        if ($change->deliverable_id !== null) {
            Chain::add($change->deliverable_id, $act, [
                'key' => $change->key, 'part' => $change->part, 'from' => $change->before, 'to' => $change->after,
            ]);
        }
    }
}
