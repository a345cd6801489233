<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Actions\People\MakeProduction;
use App\Http\Moment;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Intake\RootState;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\User;
use App\Models\Webhook;
use App\Models\WebhookCall;
use App\Webhooks\WebhookEvent;

/** What a production is called, where its files lie, how much it may take; and how it goes out of the way. */
final readonly class SettingsPage
{
    use RendersPage;

    public Book $book;

    /** @var list<string> */
    public array $kinds;

    /** @var list<string> */
    public array $zones;

    /** The production's own; empty: the installation's. */
    public string $zone;

    public string $usualZone;

    public string $intake;

    /** @var list<array{id: int, label: string, path: string, folder: string, fault: string|null}> */
    public array $roots;

    /** Since when it is archived. */
    public ?string $archived;

    public bool $administers;

    public bool $isSample;

    /** @var array{checks: int, days: int}|null how long checks are kept; null: for ever */
    public ?array $retention;

    /** @var list<array{word: string, says: string, own: int|null, usual: int}> */
    public array $limits;

    /**
     * @var list<array{id: int, url: string, events: list<string>,
     *   calls: list<array{event: string, at: string, arrived: bool, tries: int, fault: string|null}>}>
     */
    public array $webhooks;

    /** @var list<string> */
    public array $events;

    /** @param  string|null  $secret  of an address that is called, which is shown this once */
    public function __construct(Production $production, User $reader, public ?string $secret)
    {
        $this->events = array_values(array_diff(array_column(WebhookEvent::cases(), 'value'), ['test']));
        $hooks = Webhook::query()->where('production_id', $production->id)->orderBy('id')->get();
        $this->webhooks = array_values($hooks->map(static fn (Webhook $w): array => [
            'id' => $w->id, 'url' => $w->url, 'events' => $w->events,
            'calls' => array_values($w->calls()->orderByDesc('id')->limit(5)->get()->map(
                static fn (WebhookCall $c): array => [
                    'event' => $c->event, 'at' => Moment::told($c->created_at),
                    'arrived' => $c->arrived_at !== null, 'tries' => $c->tries, 'fault' => $c->fault,
                ],
            )->all()),
        ])->all());
        $this->book = new Book($production, $reader);
        $this->kinds = MakeProduction::KINDS;
        $this->zones = \DateTimeZone::listIdentifiers();
        $this->zone = $production->time_zone ?? '';
        $this->usualZone = (string) config('app.timezone');
        $this->intake = (string) config('ledger.intake');
        $roots = $production->intakeRoots()->orderBy('id')->get();
        $this->roots = array_values($roots->map(static fn (IntakeRoot $r): array => [
            'id' => $r->id, 'label' => $r->label, 'path' => $r->path,
            'folder' => config('ledger.intake').'/'.$r->path, 'fault' => RootState::fault($r),
        ])->all());
        $this->archived = $production->archived_at === null ? null : Moment::told($production->archived_at);
        $this->administers = $reader->is_administrator;
        $this->retention = $production->retention;
        $this->isSample = $production->is_sample;
        $limit = static fn (string $word, string $says, string $usual): array => [
            'word' => $word, 'says' => $says, 'own' => $production->limits[$word] ?? null,
            'usual' => (int) config($usual),
        ];
        $this->limits = [
            $limit('bytes', 'bytes that are kept of it', 'ledger.most_bytes'),
            $limit('checks', 'checks of files in 24 hours', 'ledger.most_checks'),
            $limit('archive', 'bytes of an archive that is sent', 'ledger.largest_archive'),
        ];
    }
}
