<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Specifications\MakeDeliverable;
use App\Actions\Specifications\StartingDocument;
use App\Http\Pages\BookPage;
use App\Http\Pages\LedgerPage;
use App\Http\Pages\SpecificationPage;
use App\Http\Requests\NewDeliverableRequest;
use App\Intake\IntakeFolder;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Membership;
use App\Models\Production;
use App\Models\User;
use App\Queue\Waiting;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Scene\UnknownSetting;

final class DeliverableController
{
    /** @return array<string, mixed> what every folio needs */
    private function base(Request $request, Deliverable $deliverable): array
    {
        Gate::authorize('view', $deliverable);
        /** @var User $reader */
        $reader = $request->user();
        $deliverable->load('owner', 'production', 'specification.latest', 'newest');

        return [
            'book' => BookPage::of($deliverable->production, $reader),
            'deliverable' => BookPage::deliverable($deliverable),
            'may' => ['specify' => $reader->can('specify', $deliverable)],
        ];
    }

    public function specification(Request $request, Deliverable $deliverable): Response
    {
        return Inertia::render(
            'Specification',
            $this->base($request, $deliverable) + [
                'asked' => SpecificationPage::of($deliverable),
                'sums' => CalculatorController::offered(),
            ],
        );
    }

    public function scene(Request $request, Deliverable $deliverable): Response
    {
        $base = $this->base($request, $deliverable);
        Waiting::breakOffLost($deliverable->id);
        $ledger = $this->ledger($deliverable);
        $scene = $deliverable->scenes()->latest('id')->first();

        return Inertia::render('Scene', $base + $ledger + [
            'unknown' => $scene === null
                ? []
                : array_map(
                    static fn (UnknownSetting $u): array => [
                        'name' => $u->name,
                        'value' => $u->value,
                        'field' => $u->field,
                    ],
                    array_slice($scene->settings()->misread->unknown, 0, 200),
                ),
            'fields' => NamesController::fields(), 'broken' => self::broken($deliverable),
        ]);
    }

    public function frames(Request $request, Deliverable $deliverable): Response
    {
        $base = $this->base($request, $deliverable);
        $roots = IntakeFolder::rootsFor($deliverable, (bool) $base['may']['specify']);
        Waiting::breakOffLost($deliverable->id);
        $running = $deliverable->checks()->underWay()->latest('id')->first();

        return Inertia::render('Frames', $base + $this->ledger($deliverable) + [
            'roots' => array_map(static fn ($root): array => [
                'id' => $root->id,
                'label' => $root->label,
                'own' => IntakeFolder::expected($root, $deliverable, (bool) $base['may']['specify']),
                'wanted' => IntakeFolder::wanted($root, $deliverable, (bool) $base['may']['specify']),
            ], $roots),
            'running' => $running === null ? null : CheckController::progress($running),
            'broken' => self::broken($deliverable),
        ]);
    }

    /** @return array{id: int, says: string}|null the newest check, where it came to no end */
    private static function broken(Deliverable $deliverable): ?array
    {
        $last = $deliverable->checks()->latest('id')->first();

        return match ($last?->state) {
            'failed' => ['id' => $last->id, 'says' => (string) $last->fault],
            'stopped' => ['id' => $last->id, 'says' => 'The check was stopped; nothing was kept of it.'],
            default => null,
        };
    }

    /** @return array{ledger: array<string, mixed>|null, past: array<int, array<string, mixed>>} */
    private function ledger(Deliverable $deliverable): array
    {
        $newest = $deliverable->newest;

        return [
            'ledger' => $newest === null ? null : LedgerPage::of($newest),
            'past' => $deliverable->checks()
                ->where('state', 'done')
                ->with('revision', 'person')
                ->latest('id')
                ->limit(30)
                ->get(
                    [
                        'id', 'deliverable_id', 'specification_revision_id', 'scene_id', 'delivery_id', 'user_id',
                        'state', 'verdict', 'holds_up', 'waived', 'updated_at',
                    ],
                )
                ->map(static fn (Check $c): array => [
                    'id' => $c->id,
                    'verdict' => $c->verdict,
                    'waived' => $c->waived > 0,
                    'holdsUp' => $c->holds_up,
                    'made' => $c->updated_at->format('j M, H:i'),
                    'revision' => $c->revision->number,
                    'of' => match (true) {
                        $c->scene_id === null => 'files',
                        $c->delivery_id === null => 'scene',
                        default => 'scene and files',
                    },
                    'by' => $c->person?->name,
                ])->all(),
        ];
    }

    public function create(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render('NewDeliverable', [
            'book' => BookPage::of($production, $reader),
            'specifications' => $production->specifications()->orderBy('title')->get(['id', 'title'])->all(),
            'presets' => StartingDocument::offered($production),
            'others' => StartingDocument::elsewhere($production, $reader),
            'roots' => $production->intakeRoots()
                ->orderBy('id')
                ->get()
                ->map(static fn ($r): array => ['id' => $r->id, 'label' => $r->label])
                ->all(),
            'people' => $production->memberships()
                ->with('user')
                ->get()
                ->map(
                    static fn (Membership $m): array => [
                        'id' => $m->user_id,
                        'name' => $m->user->name,
                        'role' => $m->role->value,
                    ],
                )
                ->all(),
        ]);
    }

    public function store(
        NewDeliverableRequest $request,
        Production $production,
        MakeDeliverable $make,
    ): RedirectResponse {
        $document = StartingDocument::document($production, $request);
        $made = $make->run($production, $request->deliverable(), $document, $request->user());

        return redirect()->route('specification', $made->id)->with('told', "{$made->code} is in the book.");
    }
}
