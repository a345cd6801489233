<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Http\FriendlyMessage;
use App\Http\Pages\BookPage;
use App\Http\Pages\SpecificationPage;
use App\Http\Requests\HouseRequirementRequest;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Text\PlainSentence;

/** What a production asks of everything, and what its untouched scenes show. */
final class HouseRequirementController
{
    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);
        /** @var User $reader */
        $reader = $request->user();
        $draft = Resolved::draft($production->houseLayer());
        $target = ChangedLayer::house($production);
        $lines = array_map(
            static fn (Requirement $r): array => SpecificationPage::line($r) + [
                'layers' => ['house' => $r->required()],
                'tokens' => ['house' => $target->token('', $r->id())],
            ],
            array_values($draft->specification->parts[0]->requirements),
        );
        $starting = [];
        foreach ($draft->specification->startingValues as $id => $values) {
            $descriptor = Catalogue::standard()->find($id);
            $starting[] = [
                'id' => $id,
                'label' => $descriptor->label ?? $id,
                'values' => $values,
                'token' => $target->token('', "starting_values.{$id}"),
            ];
        }

        return Inertia::render('House', [
            'book' => BookPage::of($production, $reader),
            'lines' => $lines,
            'starting' => $starting,
            'offered' => SpecificationPage::offered(),
            'faults' => array_map(static fn ($q): array => $q->toArray(), $draft->faults),
        ]);
    }

    public function update(
        HouseRequirementRequest $request,
        Production $production,
        ChangeRequirement $changing,
    ): RedirectResponse {
        /** @var User $by */
        $by = $request->user();
        try {
            $change = $changing->run(
                ChangedLayer::house($production),
                '',
                $request->key(),
                $request->written(),
                $by,
                $request->seen(),
            );
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }

        return back()->with('change', $change?->id);
    }

    public function understand(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            ['id' => ['required', 'string', 'max:80'], 'value' => ['present', 'nullable', 'string', 'max:4000']],
        );
        $descriptor = Catalogue::standard()->find($given['id']);
        try {
            if ($descriptor === null) {
                return response()->json(['says' => null, 'fault' => 'This requirement is not known here.']);
            }
            $line = SpecificationPage::line(
                Requirement::read(
                    $descriptor,
                    RequirementValue::typed($descriptor, $given['value'] ?? ''),
                    SetBy::House,
                    'Here',
                ),
            );

            return response()->json(['says' => $line['value'], 'sentence' => $line['sentence'], 'fault' => null]);
        } catch (PlainSentence $refused) {
            return response()->json(['says' => null, 'fault' => FriendlyMessage::said($refused)]);
        }
    }
}
