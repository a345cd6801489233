<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BookPage;
use App\Http\Pages\LogPage;
use App\Http\Pages\PlanPage;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\User;
use App\Rendering\RenderWork;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderPlanning\FrameTimes;
use PlainLedger\Core\RenderPlanning\MachinePool;
use PlainLedger\Core\RenderPlanning\RenderJob;
use PlainLedger\Core\RenderPlanning\RenderPlan;
use PlainLedger\Core\Specification\Consequences;

/** Before and during a render: when it will be ready, and how far it is. */
final class RenderController
{
    public function show(Request $request, Deliverable $deliverable): Response
    {
        Gate::authorize('view', $deliverable);
        $reader = $this->person($request);
        $deliverable->load('owner', 'production', 'specification.latest', 'newest');
        $overseer = $reader->can('specify', $deliverable);
        $log = RenderWork::newestLog($deliverable);
        $times = RenderWork::times($deliverable);
        $frames = RenderWork::frames($deliverable);
        $job = RenderWork::job($deliverable);

        return Inertia::render('Render', [
            'book' => BookPage::of($deliverable->production, $reader),
            'deliverable' => BookPage::deliverable($deliverable),
            'may' => ['specify' => $overseer],
            'frames' => $frames === null ? null : (string) $frames, 'count' => $frames === null ? 0 : count($frames),
            'typed' => ['times' => $deliverable->frame_times ?? '', 'size' => $deliverable->frame_size ?? ''],
            'from' => $times[1] ?? null,
            'unpacked' => self::unpacked($deliverable), 'pool' => self::poolShown($deliverable->production),
            'plan' => $job === null
                ? null
                : PlanPage::of(RenderPlan::of(RenderWork::pool($deliverable->production), [$job])),
            'log' => $log === null ? null : LogPage::of($log),
            'shapes' => array_map(static fn (LogShape $s): string => $s->name, $deliverable->production->logShapes()),
            'roots' => array_map(
                static fn (IntakeRoot $root): array => [
                    'id' => $root->id,
                    'label' => $root->label,
                    'own' => IntakeFolder::expected($root, $deliverable, $overseer),
                ],
                IntakeFolder::rootsFor($deliverable, $overseer),
            ),
        ]);
    }

    /** What one picture of a pass takes before it is compressed, as far as what is asked tells it. */
    private static function unpacked(Deliverable $deliverable): ?string
    {
        $asked = $deliverable->draft()->specification;
        foreach ($asked->parts as $part) {
            foreach (Consequences::of($asked, $part)->lines as $line) {
                if ($line['label'] === 'one frame, unpacked') {
                    return $line['value'];
                }
            }
        }

        return null;
    }

    /** @return array{machines: int, hours: string} */
    private static function poolShown(Production $production): array
    {
        return ['machines' => $production->pool['machines'] ?? 1, 'hours' => $production->pool['hours'] ?? ''];
    }

    public function update(Request $request, Deliverable $deliverable): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            ['times' => ['nullable', 'string', 'max:2000'], 'size' => ['nullable', 'string', 'max:40']],
        );
        try {
            blank($given['times'] ?? null) ?: FrameTimes::parse((string) $given['times']);
        } catch (NotUnderstood $refused) {
            throw ValidationException::withMessages(['times' => $refused->getMessage()]);
        }
        try {
            blank($given['size'] ?? null) ?: ByteSize::parse((string) $given['size']);
        } catch (NotUnderstood $refused) {
            throw ValidationException::withMessages(['size' => $refused->getMessage()]);
        }
        $deliverable->update(['frame_times' => $given['times'] ?? null, 'frame_size' => $given['size'] ?? null]);

        return back();
    }

    /** Another count of machines or other hours, looked at and not kept. */
    public function attempt(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('view', $production);
        $given = $request->validate(
            [
                'machines' => ['required', 'integer', 'min:1', 'max:10000'],
                'hours' => ['nullable', 'string', 'max:40'],
                'deliverable' => ['nullable', 'integer'],
                'times' => ['nullable', 'string', 'max:2000'],
            ],
            ['machines.*' => 'There are from 1 to 10,000 machines.'],
        );
        $pool = RenderWork::pool($production, (int) $given['machines'], $given['hours'] ?? '');
        if (isset($given['deliverable'])) {
            $deliverable = $production->deliverables()
                ->with('owner', 'production', 'specification.latest', 'newest')
                ->findOrFail((int) $given['deliverable']);
            Gate::authorize('view', $deliverable);
            if (! blank($given['times'] ?? null)) {
                $deliverable->frame_times = (string) $given['times'];
                FrameTimes::parse($deliverable->frame_times);
            }
            $job = RenderWork::job($deliverable);

            return response()->json(
                ['plan' => $job === null ? null : PlanPage::of(RenderPlan::of($pool, [$job]))],
            );
        }
        Gate::authorize('decide', $production);

        return response()->json(['plan' => $this->whole($production, $pool)]);
    }

    public function plan(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);

        return Inertia::render(
            'RenderPlan',
            [
                'book' => BookPage::of($production, $this->person($request)),
                'pool' => self::poolShown($production),
                'plan' => $this->whole($production, RenderWork::pool($production)),
                'untimed' => $this->untimed($production),
            ],
        );
    }

    /** @return array<string, mixed> everything that is still due and has a time, as one list */
    private function whole(Production $production, MachinePool $pool): array
    {
        /** @var list<RenderJob> $jobs */
        $jobs = array_values(array_filter($this->owed($production)->map(RenderWork::job(...))->all()));

        return PlanPage::of(RenderPlan::of($pool, $jobs));
    }

    /** @return list<array{id: int, code: string, frames: string}> due, with no time known for a frame */
    private function untimed(Production $production): array
    {
        $list = [];
        foreach ($this->owed($production) as $deliverable) {
            $frames = RenderWork::frames($deliverable);
            if ($frames !== null && ! $frames->isEmpty() && RenderWork::times($deliverable) === null) {
                $list[] = ['id' => $deliverable->id, 'code' => $deliverable->code, 'frames' => (string) $frames];
            }
        }

        return $list;
    }

    /** @return \Illuminate\Support\Collection<int, Deliverable> */
    private function owed(Production $production): \Illuminate\Support\Collection
    {
        return $production->deliverables()
            ->with(
                [
                    'owner',
                    'production',
                    'specification.latest',
                    'renderLogs',
                    'newest' => fn ($query) => $query->select(\App\Http\Pages\BoardPage::COLUMNS),
                ],
            )
            ->orderBy('code')
            ->get();
    }

    public function keepPool(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'machines' => ['required', 'integer', 'min:1', 'max:10000'],
                'hours' => ['nullable', 'string', 'max:40'],
                'was' => ['nullable', 'array'],
                'was.machines' => ['nullable', 'integer'],
                'was.hours' => ['nullable', 'string', 'max:40'],
            ],
            ['machines.*' => 'There are from 1 to 10,000 machines.'],
        );
        try {
            MachinePool::of((int) $given['machines'], 0, $given['hours'] ?? '');
        } catch (NotUnderstood $refused) {
            throw ValidationException::withMessages(['hours' => $refused->getMessage()]);
        }
        $production->alone(static function (Production $now) use ($given): void {
            $stands = ['machines' => $now->pool['machines'] ?? 1, 'hours' => $now->pool['hours'] ?? ''];
            // who changes what another has changed meanwhile is told, and sees what stands now
            if (
                isset($given['was'])
                && $stands !== [
                    'machines' => (int) ($given['was']['machines'] ?? 1),
                    'hours' => (string) ($given['was']['hours'] ?? ''),
                ]
            ) {
                throw ValidationException::withMessages(
                    [
                        'machines' => "Somebody has changed this meanwhile, to {$stands['machines']}"
                            .($stands['hours'] === '' ? '' : " from {$stands['hours']}")
                            .'. Theirs stands; keep yours once more to change it.',
                    ],
                );
            }
            $now->update(['pool' => ['machines' => (int) $given['machines'], 'hours' => $given['hours'] ?? '']]);
        });

        return back();
    }

    private function person(Request $request): User
    {
        /** @var User $person */
        $person = $request->user();

        return $person;
    }
}
