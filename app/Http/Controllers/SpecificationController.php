<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BookPage;
use App\Http\Pages\RevisionsPage;
use App\Models\Deliverable;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Specification\PartsEditor;
use PlainLedger\Core\Text\PlainSentence;

/** A specification as a whole: its revisions, who uses it, its parts, and checks that it has left behind. */
final class SpecificationController
{
    public function show(Request $request, Specification $specification): Response
    {
        Gate::authorize('decide', $specification->production);
        $given = $request->validate(['from' => ['nullable', 'integer'], 'to' => ['nullable', 'integer']]);
        /** @var User $reader */
        $reader = $request->user();

        return Inertia::render(
            'Revisions',
            ['book' => BookPage::of($specification->production, $reader)] + RevisionsPage::of(
                $specification,
                isset($given['from']) ? (int) $given['from'] : null,
                isset($given['to']) ? (int) $given['to'] : null,
            ),
        );
    }

    public function rename(Request $request, Specification $specification): RedirectResponse
    {
        Gate::authorize('decide', $specification->production);
        $given = $request->validate(
            ['title' => ['required', 'string', 'max:160']],
            ['title.required' => 'A specification needs a title.'],
        );
        DB::transaction(function () use ($specification, $given, $request): void {
            $specification->update(['title' => $given['title']]);
            $latest = $specification->latest()->firstOrFail();
            if (($latest->data['title'] ?? null) !== $given['title']) {
                $specification->revise(['title' => $given['title']] + $latest->data, $request->user());
            }
        });

        return back();
    }

    /** Adds a part, renames one, or takes one away. */
    public function parts(Request $request, Specification $specification): RedirectResponse
    {
        Gate::authorize('decide', $specification->production);
        $given = $request->validate([
            'does' => ['required', 'in:add,remove,rename'],
            'name' => ['required', 'string', 'max:60'],
            'to' => ['required_if:does,rename', 'nullable', 'string', 'max:60'],
            'delivers' => ['required_if:does,add', 'nullable', 'in:frames,still,movie,file'],
            'made_from' => ['nullable', 'string', 'max:60'],
        ], ['name.required' => 'A part needs a name.', 'delivers.required_if' => 'Say what the part delivers.']);
        try {
            DB::transaction(function () use ($specification, $given, $request): void {
                $plan = PartsEditor::of($specification->latest()->firstOrFail()->data);
                $plan = match ($given['does']) {
                    'add' => $plan->with($given['name'], (string) $given['delivers'], $given['made_from'] ?? null),
                    'remove' => $plan->without($given['name']),
                    default => $plan->renamed($given['name'], (string) $given['to']),
                };
                $specification->revise($plan->data, $request->user());
                foreach ($specification->deliverables()->with('production', 'owner')->get() as $deliverable) {
                    $deliverable->setRelation('specification', $specification->fresh(['latest']) ?? $specification);
                    $this->renameOverrides(
                        $deliverable,
                        $given['does'] === 'rename' ? [$given['name'], (string) $given['to']] : null,
                    );
                    $deliverable->keepParts();
                }
            });
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['name' => $refused->getMessage()]);
        }

        return back();
    }

    /** @param  array{string, string}|null  $names */
    private function renameOverrides(Deliverable $deliverable, ?array $names): void
    {
        $overrides = $deliverable->overrides;
        if ($names !== null && isset($overrides['parts'][$names[0]])) {
            $overrides['parts'][$names[1]] = $overrides['parts'][$names[0]];
            unset($overrides['parts'][$names[0]]);
            $deliverable->update(['overrides' => $overrides]);
        }
    }
}
