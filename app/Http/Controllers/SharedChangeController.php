<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Actions\Changes\PreviewChange;
use App\Actions\Changes\WrittenRequirement;
use App\Http\FriendlyMessage;
use App\Http\Pages\BookPage;
use App\Http\Pages\SpecificationPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** One value of many deliverables, looked at and then changed together. */
final class SharedChangeController
{
    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render(
            'Together',
            ['book' => BookPage::of($production, $reader), 'offered' => SpecificationPage::offered()],
        );
    }

    public function read(Request $request, Production $production, PreviewChange $preview): JsonResponse
    {
        Gate::authorize('decide', $production);
        [$deliverables, $id, $json] = $this->given($request, $production);

        return response()->json(['lines' => $preview->run($deliverables, $id, $json)]);
    }

    public function store(Request $request, Production $production, ChangeRequirement $change): RedirectResponse
    {
        Gate::authorize('decide', $production);
        [$deliverables, $id, $json] = $this->given($request, $production);
        /** @var User $by */
        $by = $request->user();
        try {
            $done = DB::transaction(function () use ($deliverables, $id, $json, $change, $by): int {
                $done = 0;
                foreach ($deliverables as $deliverable) {
                    $done += $change->run(ChangedLayer::deliverable($deliverable), '', $id, $json, $by) === null
                        ? 0
                        : 1;
                    // what cannot be resolved is written for none of them
                    $deliverable->resolved();
                }

                return $done;
            });
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => $refused->getMessage()]);
        }

        return redirect()->route('together', $production->id)->with(
            'told',
            Text::count($done, 'deliverable').' changed.',
        );
    }

    /** @return array{list<Deliverable>, string, string|null} */
    private function given(Request $request, Production $production): array
    {
        $given = $request->validate([
            'deliverables' => ['required', 'array', 'min:1', 'max:2000'],
            'deliverables.*' => ['integer'],
            'id' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'drop' => ['boolean'],
        ], [
            'deliverables.required' => 'Choose the deliverables first.',
            'id.required' => 'Choose what is to be changed.',
        ]);
        $deliverables = $production->deliverables()
            ->whereIn('id', $given['deliverables'])
            ->with('production', 'owner', 'specification.latest')
            ->orderBy('code')
            ->get();
        if ($deliverables->count() !== count(array_unique($given['deliverables']))) {
            throw ValidationException::withMessages(['deliverables' => 'Some of these are not in this production.']);
        }
        try {
            $json = $given['drop'] ?? false
                ? null
                : WrittenRequirement::typed($given['id'], $given['value'] ?? '', $given['level'], null);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }

        return [array_values($deliverables->all()), $given['id'], $json];
    }

    /** What contradicts itself anywhere in a production, and which deliverables would write the same path. */
    public function proof(Production $production): JsonResponse
    {
        Gate::authorize('decide', $production);
        $deliverables = $production->deliverables()
            ->with('production', 'owner', 'specification.latest')
            ->orderBy('code')
            ->limit(2000)
            ->get()
            ->keyBy('code');
        $found = [];
        foreach (Proofreader::standard()->readAll(
            $deliverables->map(static fn (Deliverable $d) => $d->draft())->all(),
        ) as $code => $quarrels) {
            $found[] = [
                'id' => $deliverables[$code]->id ?? null,
                'code' => (string) $code,
                'quarrels' => array_map(static fn ($q): array => $q->toArray(), $quarrels),
            ];
        }

        return response()->json(['found' => $found, 'read' => $deliverables->count()]);
    }
}
