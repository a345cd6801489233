<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Change;
use App\Models\Deliverable;
use App\Models\Message;
use App\Models\NoticeKind;
use App\Models\Waiver;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use PlainLedger\Core\Specification\Catalogue;

/** Tells owners what is asked otherwise of theirs, what is accepted, and that somebody wrote. */
final readonly class OnChange
{
    public static function begin(): void
    {
        Change::created(self::changed(...));
        Waiver::created(self::accepted(...));
        Message::created(self::written(...));
    }

    private static function changed(Change $change): void
    {
        // what is changed together is told once
        if ($change->follows_id !== null) {
            return;
        }
        $label = Catalogue::standard()->find($change->key)->label ?? $change->key;
        foreach (self::touched($change)->where('owner_id', '!=', $change->user_id)->get() as $deliverable) {
            Tell::all(
                [$deliverable->owner],
                NoticeKind::AskedOtherwise,
                $deliverable->production,
                "{$deliverable->code}: something else is asked ({$label})",
                route('specification', $deliverable->id, false),
            );
        }
    }

    private static function accepted(Waiver $waiver): void
    {
        $label = Catalogue::standard()->find($waiver->entry)->label ?? $waiver->entry;
        foreach (self::touched($waiver)->where('owner_id', '!=', $waiver->user_id)->get() as $deliverable) {
            Tell::all(
                [$deliverable->owner],
                NoticeKind::Accepted,
                $deliverable->production,
                "{$deliverable->code}: {$label} is accepted as it is ({$waiver->reason})",
                route('deliverable', $deliverable->id, false),
            );
        }
    }

    private static function written(Message $message): void
    {
        Tell::all(
            [$message->to],
            NoticeKind::Message,
            $message->production,
            $message->subject,
            route('notices', [], false)."#message-{$message->id}",
        );
    }

    /** @return Builder<Deliverable> those that a row of a deliverable, a specification or a whole production is about */
    private static function touched(Model $row): Builder
    {
        $deliverable = $row->getAttribute('deliverable_id');
        $specification = $row->getAttribute('specification_id');
        $all = Deliverable::query()->with('owner', 'production')->whereNull('put_away_at')->whereNotNull('owner_id')
            ->where('production_id', $row->getAttribute('production_id'));

        return match (true) {
            $deliverable !== null => $all->whereKey($deliverable),
            $specification !== null => $all->where('specification_id', $specification),
            default => $all,
        };
    }
}
