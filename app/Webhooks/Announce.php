<?php

declare(strict_types=1);

namespace App\Webhooks;

use App\Models\Change;
use App\Models\CheckEnded;
use App\Models\Deliverable;
use App\Models\HistoryEntry;
use App\Models\Production;
use App\Models\Waiver;
use App\Models\Webhook;
use Illuminate\Support\Facades\Event;

/** Writes down what is to be said elsewhere, and has it said. */
final readonly class Announce
{
    /** Calls of an address that are kept to be looked at. */
    private const KEPT = 100;

    public static function begin(): void
    {
        Event::listen(CheckEnded::class, self::checked(...));
        HistoryEntry::created(self::act(...));
        Deliverable::created(static fn (Deliverable $d) => self::event(
            WebhookEvent::DeliverableAdded,
            $d->production_id,
            static fn (): array => ['deliverable' => self::deliverable($d)],
        ));
        Change::created(static fn (Change $c) => self::event(
            WebhookEvent::RequirementChanged,
            $c->production_id,
            static fn (): array => [
                'layer' => $c->layer, 'part' => $c->part, 'requirement' => $c->key,
                'before' => $c->before === null ? null : json_decode($c->before, true),
                'after' => $c->after === null ? null : json_decode($c->after, true),
                'by' => $c->person?->name,
                'deliverable' => $c->deliverable === null ? null : self::deliverable($c->deliverable),
            ],
        ));
        Waiver::created(static fn (Waiver $w) => self::event(
            WebhookEvent::LineAccepted,
            $w->production_id,
            static fn (): array => [
                'requirement' => $w->entry, 'part' => $w->part, 'reason' => $w->reason, 'by' => $w->person?->name,
                'deliverable' => $w->deliverable_id === null
                    ? null
                    : self::deliverable(Deliverable::query()->findOrFail($w->deliverable_id)),
            ],
        ));
    }

    /** What is written into the chain of a deliverable, as far as others elsewhere want to know of it. */
    private static function act(HistoryEntry $entry): void
    {
        $event = match ($entry->act) {
            'signed off' => WebhookEvent::SubmissionSigned,
            'withdrew' => WebhookEvent::SubmissionWithdrawn,
            'handed in' => WebhookEvent::HandedIn,
            default => null,
        };
        $deliverable = $event === null ? null : Deliverable::query()->find($entry->deliverable_id);
        if ($event !== null && $deliverable !== null) {
            self::event($event, $deliverable->production_id, static fn (): array => [
                'deliverable' => self::deliverable($deliverable), 'by' => $entry->who, 'about' => $entry->facts,
            ]);
        }
    }

    public static function test(Webhook $hook): void
    {
        self::write($hook, WebhookEvent::Test, ['says' => 'This is a test.']);
    }

    private static function checked(CheckEnded $ended): void
    {
        $check = $ended->check;
        self::event(WebhookEvent::CheckEnded, $check->deliverable->production_id, static fn (): array => [
            'deliverable' => self::deliverable($check->deliverable),
            'check' => [
                'id' => $check->id, 'verdict' => $check->verdict?->value, 'holds_up' => $check->holds_up,
                'balance' => $check->summary['balance'] ?? null,
                'causes' => array_map(
                    static fn (array $cause): array => ['id' => $cause['id'], 'says' => $cause['says']],
                    $check->summary['causes'] ?? [],
                ),
                'url' => route('check', $check->id),
            ],
        ]);
    }

    /** @return array{code: string, title: string, url: string} */
    private static function deliverable(Deliverable $deliverable): array
    {
        return [
            'code' => $deliverable->code, 'title' => $deliverable->title,
            'url' => route('deliverable', $deliverable->id),
        ];
    }

    /** @param  \Closure(): array<string, mixed>  $about */
    private static function event(WebhookEvent $event, int $production, \Closure $about): void
    {
        foreach (Webhook::query()->where('production_id', $production)->get() as $hook) {
            if (in_array($event->value, $hook->events, true)) {
                self::write($hook, $event, $about());
            }
        }
    }

    /** @param  array<string, mixed>  $about */
    private static function write(Webhook $hook, WebhookEvent $event, array $about): void
    {
        $production = Production::query()->findOrFail($hook->production_id);
        $call = $hook->calls()->create(['event' => $event->value, 'body' => json_encode([
            'event' => $event->value, 'at' => now()->toIso8601ZuluString(),
            'production' => ['code' => $production->code, 'name' => $production->name],
        ] + $about, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)]);
        $oldest = $hook->calls()->orderByDesc('id')->skip(self::KEPT)->take(1)->value('id');
        $oldest === null || $hook->calls()->where('id', '<=', $oldest)->delete();
        Call::dispatch($call->id)->afterCommit();
    }
}
