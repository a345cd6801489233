<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\SpecificationPage;
use App\Models\Deliverable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\PlainSentence;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;

/** Changes what is asked, one line at a time, for one deliverable or for all that share its specification. */
final class RequirementController
{
    public function update(Request $request, Deliverable $deliverable): RedirectResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate([
            'id' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'why' => ['nullable', 'string', 'max:300'],
            'scope' => ['required', 'in:deliverable,specification'],
            'drop' => ['boolean'],
        ]);
        $id = $given['id'];
        $descriptor = Catalogue::standard()->find($id) ?? throw ValidationException::withMessages(['value' => "“{$id}” is not known here."]);
        $new = $given['drop'] ?? false ? null : array_filter(['value' => $given['value'] ?? '', 'level' => $given['level'], 'why' => $given['why'] ?? null], static fn (mixed $v): bool => $v !== null);
        try {
            if ($new !== null) {
                Requirement::read($descriptor, $new, SetBy::Deliverable, 'Here');
            }
            DB::transaction(function () use ($deliverable, $given, $id, $new, $request): void {
                $deliverable->load('production', 'owner', 'specification.latest');
                if ($given['scope'] === 'deliverable') {
                    $overrides = $deliverable->overrides;
                    if ($new === null && array_key_exists($id, $overrides)) {
                        // what this deliverable set is taken back, and what lies below holds again
                        unset($overrides[$id]);
                    } else {
                        $overrides[$id] = $new;
                    }
                    $deliverable->update(['overrides' => $overrides]);
                } else {
                    $data = $deliverable->specification->latest->data;
                    $require = is_array($data['require'] ?? null) ? $data['require'] : [];
                    if ($new === null && array_key_exists($id, $require)) {
                        unset($require[$id]);
                    } else {
                        $require[$id] = $new;
                    }
                    $deliverable->specification->revise(['require' => $require] + $data, $request->user());
                    $overrides = $deliverable->overrides;
                    unset($overrides[$id]);
                    $deliverable->update(['overrides' => $overrides]);
                }
                $deliverable->load('specification.latest');
                $this->mustResolve($deliverable);
                $deliverable->keepParts();
            });
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => (string) preg_replace('~^Here: “[^”]*”: ~u', '', $refused->getMessage())]);
        }

        return back();
    }

    private function mustResolve(Deliverable $deliverable): Resolved
    {
        $resolved = $deliverable->resolved();
        foreach ($resolved->parts as $part) {
            // widened by handles it may run out of bounds
            $part->expected();
        }

        return $resolved;
    }

    /** How a typed value is understood, before it is kept. */
    public function understand(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate(['id' => ['required', 'string', 'max:80'], 'value' => ['present', 'nullable', 'string', 'max:4000']]);
        $descriptor = Catalogue::standard()->find($given['id']);
        if ($descriptor === null) {
            return response()->json(['says' => null, 'fault' => 'This requirement is not known here.']);
        }
        try {
            $line = SpecificationPage::line(Requirement::read($descriptor, $given['value'] ?? '', SetBy::Deliverable, 'Here'));

            return response()->json(['says' => $line['value'], 'sentence' => $line['sentence'], 'fault' => null]);
        } catch (PlainSentence $refused) {
            return response()->json(['says' => null, 'fault' => (string) preg_replace('~^Here: “[^”]*”: ~u', '', $refused->getMessage())]);
        }
    }
}
