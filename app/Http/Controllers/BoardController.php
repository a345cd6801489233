<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BoardPage;
use App\Http\Pages\BookPage;
use App\Models\Deliverable;
use App\Models\Message;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Messages\Mailbox;
use PlainLedger\Core\Messages\OwnerMessage;
use PlainLedger\Core\Tabular\Csv;

/** A whole production at a glance, what is the same trouble in many, and what their owners are told. */
final class BoardController
{
    private const HEADINGS = [
        'learner', 'name', 'deliverable', 'title', 'specification', 'due', 'checked', 'verdict', 'balance', 'of',
        'percent', 'waived', 'first cause', 'says',
    ];

    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);

        return Inertia::render(
            'Board',
            ['book' => BookPage::of($production, $this->person($request)), 'board' => BoardPage::of($production)],
        );
    }

    /** One line a deliverable, for a gradebook or a sheet of one's own. */
    public function grades(Production $production): PlainResponse
    {
        Gate::authorize('decide', $production);
        $deliverables = $production->deliverables()
            ->with(['owner', 'specification', 'newest' => fn ($query) => $query->select(BoardPage::COLUMNS)])
            ->orderBy('code')
            ->get();
        $rows = array_values($deliverables->map(self::grade(...))->all());

        return response(Csv::of([self::HEADINGS, ...$rows]))->header('Content-Type', 'text/csv; charset=utf-8')->header(
            'Content-Disposition',
            "attachment; filename=\"{$production->code}-results.csv\"",
        );
    }

    /** @return list<string> */
    private static function grade(Deliverable $deliverable): array
    {
        $newest = $deliverable->newest;

        return [
            $deliverable->owner->handle ?? '',
            $deliverable->owner->name ?? '',
            $deliverable->code,
            $deliverable->title,
            $deliverable->specification->title,
            $deliverable->due_at?->format('Y-m-d H:i') ?? '',
            $newest?->updated_at->format('Y-m-d H:i') ?? '',
            $newest->verdict ?? 'not checked',
            ...self::result($newest->summary ?? null),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $summary
     * @return list<string> balance, of how many, percent, waived, first cause and what it says
     */
    private static function result(?array $summary): array
    {
        if ($summary === null) {
            return ['', '', '', '', '', ''];
        }
        [$good, $all] = $summary['balance'];

        return [
            (string) $good,
            (string) $all,
            $all === 0 ? '' : (string) intdiv($good * 200 + $all, 2 * $all),
            (string) count($summary['waivers']),
            $summary['causes'][0]['id'] ?? '',
            $summary['causes'][0]['says'] ?? '',
        ];
    }

    public function outbox(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);

        return Inertia::render('Outbox', [
            'book' => BookPage::of($production, $this->person($request)),
            'messages' => $this->messages($production)
                ->map(
                    static fn (Message $m): array => [
                        'id' => $m->id,
                        'to' => $m->to->name,
                        'address' => $m->to->email,
                        'by' => $m->by?->name,
                        'subject' => $m->subject,
                        'body' => $m->body,
                        'at' => $m->created_at->format('j M, H:i'),
                    ],
                )
                ->all(),
        ]);
    }

    /** @return Collection<int, Message> */
    private function messages(Production $production): Collection
    {
        return Message::query()->where('production_id', $production->id)
            ->with('to', 'by')
            ->orderByDesc('id')
            ->limit(2000)
            ->get();
    }

    /** A message to each owner of what does not balance, or of the deliverables that are named. */
    public function write(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            ['deliverables' => ['nullable', 'array', 'max:2000'], 'deliverables.*' => ['integer']],
        );
        $by = $this->person($request);
        $owed = $production->deliverables()->with('owner', 'newest')->whereNotNull('owner_id')->orderBy('code')
            ->when(
                isset($given['deliverables']),
                fn ($query) => $query->whereIn('id', $given['deliverables'] ?? []),
            )->get()
            ->filter(
                static fn (Deliverable $d): bool => isset($given['deliverables'])
                    || $d->newest?->verdict !== 'balanced',
            );
        if ($owed->isEmpty()) {
            throw ValidationException::withMessages(
                ['messages' => 'There is nobody to write to: everything that has an owner balances.'],
            );
        }
        foreach ($owed->groupBy('owner_id') as $theirs) {
            /** @var User $owner */
            $owner = $theirs->firstOrFail()->owner;
            /**
             * @var non-empty-list<array{code: string, title: string, due: string|null,
             *   document: array<string, mixed>|null}> $told
             */
            $told = array_values(
                $theirs->map(
                    static fn (Deliverable $d): array => [
                        'code' => $d->code,
                        'title' => $d->title,
                        'due' => $d->due_at?->format('j M, H:i'),
                        'document' => $d->newest?->account(),
                    ],
                )->all(),
            );
            $message = OwnerMessage::to(
                $owner->name,
                $production->name,
                $told,
                "{$by->name}, {$by->roleIn($production->id)?->value}",
            );
            Message::query()->create(
                [
                    'production_id' => $production->id,
                    'to_id' => $owner->id,
                    'by_id' => $by->id,
                    'subject' => mb_substr($message->subject, 0, 300),
                    'body' => $message->body,
                ],
            );
        }

        return redirect()->route('outbox', $production->id);
    }

    public function drop(Message $message): RedirectResponse
    {
        Gate::authorize('decide', Production::query()->findOrFail($message->production_id));
        $message->delete();

        return back();
    }

    public function clear(Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        Message::query()->where('production_id', $production->id)->delete();

        return back();
    }

    public function export(Production $production, string $format): PlainResponse
    {
        Gate::authorize('decide', $production);
        $lines = array_values(
            $this->messages($production)
                ->reverse()
                ->map(
                    static fn (Message $m): array => [
                        'from' => $m->by->email ?? 'nobody@ledger.example',
                        'to' => $m->to->email,
                        'subject' => $m->subject,
                        'body' => $m->body,
                        'at' => $m->created_at->getTimestamp(),
                    ],
                )
                ->all(),
        );
        [$body, $type] = match ($format) {
            'mbox' => [Mailbox::of($lines), 'application/mbox'],
            'json' => [
                json_encode(
                    $lines,
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
                ),
                'application/json',
            ],
            'txt' => [
                implode(
                    "\n".str_repeat('=', 72)."\n\n",
                    array_map(
                        static fn (array $m): string => "To: {$m['to']}\nSubject: {$m['subject']}\n\n{$m['body']}",
                        $lines,
                    ),
                ),
                'text/plain; charset=utf-8',
            ],
            default => abort(404),
        };

        return response($body)->header('Content-Type', $type)->header(
            'Content-Disposition',
            "attachment; filename=\"{$production->code}-messages.{$format}\"",
        );
    }

    private function person(Request $request): User
    {
        /** @var User $person */
        $person = $request->user();

        return $person;
    }
}
