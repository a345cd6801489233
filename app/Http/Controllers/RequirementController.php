<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Changes\ChangedLayer;
use App\Actions\Changes\ChangeRequirement;
use App\Actions\Changes\EditRequirement;
use App\Actions\Changes\UndoOrRedoChange;
use App\Actions\Changes\WrittenRequirement;
use App\Http\FriendlyMessage;
use App\Http\Pages\SpecificationPage;
use App\Http\Requests\RequirementRequest;
use App\Intake\ApprovedPictures;
use App\Models\Change;
use App\Models\Deliverable;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Text\PlainSentence;

/** Changing what is asked of one deliverable, in whichever layer. */
final class RequirementController
{
    /** Seconds after which somebody who said nothing is not there any more. */
    private const PRESENT = 30;

    public function update(
        RequirementRequest $request,
        Deliverable $deliverable,
        EditRequirement $edit,
    ): RedirectResponse {
        /** @var User $by */
        $by = $request->user();
        try {
            $change = $edit->run($deliverable, $request->edit(), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => FriendlyMessage::said($refused)]);
        }

        return back()->with('change', $change?->id);
    }

    /** A picture that frames are to agree with. */
    public function approve(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('specify', $deliverable);
        $request->validate(
            ['picture' => ['required', 'file', 'max:8000']],
            ['picture.max' => 'The picture is larger than 8 MB; lay it in the intake, and name it there.'],
        );
        /** @var UploadedFile $picture */
        $picture = $request->file('picture');
        try {
            return response()->json(['path' => ApprovedPictures::keep($deliverable->production, $picture)]);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['picture' => $refused->getMessage()]);
        }
    }

    /** How a typed value is understood, and what would follow from it, before it is kept. */
    public function understand(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate(
            [
                'id' => ['required', 'string', 'max:80'],
                'part' => ['nullable', 'string', 'max:80'],
                'value' => ['present', 'nullable', 'string', 'max:4000'],
            ],
        );
        $descriptor = Catalogue::standard()->find($given['id']);
        if ($descriptor === null) {
            return response()->json(['says' => null, 'fault' => 'This requirement is not known here.']);
        }
        $deliverable->load('production', 'owner', 'specification.latest');
        try {
            $line = SpecificationPage::line(
                Requirement::read(
                    $descriptor,
                    RequirementValue::typed($descriptor, $given['value'] ?? ''),
                    SetBy::Deliverable,
                    'Here',
                ),
            );
            $layers = $deliverable->layers($deliverable->specification->latest);
            $own = ['require' => [$given['id'] => RequirementValue::typed($descriptor, $given['value'] ?? '')]];
            $part = $given['part'] ?? '';
            $draft = Resolved::draft(
                ...[
                    ...$layers,
                    new Layer(
                        SetBy::Deliverable,
                        $part === '' ? $own : ['parts' => [['name' => $part] + $own]],
                        'Here',
                    ),
                ],
            );
            $quarrels = Proofreader::standard()->read($draft);
            $parts = array_map(
                static fn ($p): array => SpecificationPage::part($draft, $p, $quarrels),
                $draft->specification->parts,
            );

            return response()->json(
                ['says' => $line['value'], 'sentence' => $line['sentence'], 'fault' => null, 'parts' => $parts],
            );
        } catch (PlainSentence $refused) {
            return response()->json(['says' => null, 'fault' => FriendlyMessage::said($refused)]);
        }
    }

    /** A value that pieces of names stand for. */
    public function value(Request $request, Deliverable $deliverable, ChangeRequirement $changing): RedirectResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'regex:~^[a-z][a-z0-9_]{0,39}$~'],
                'value' => ['nullable', 'string', 'max:120', 'not_regex:~[\x00-\x1F/\\\\]~'],
            ],
            [
                'name.regex' => 'A piece is called by lower-case letters, digits and underscores.',
                'value.not_regex' => 'A value holds no slash and no control character.',
            ],
        );
        /** @var User $by */
        $by = $request->user();
        $value = trim($given['value'] ?? '');
        $change = $changing->run(
            ChangedLayer::deliverable($deliverable),
            '',
            "values.{$given['name']}",
            $value === ''
                ? null
                : WrittenRequirement::json($value),
            $by,
        );

        return back()->with('change', $change?->id);
    }

    /** Takes a change back, or makes it again. */
    public function turn(Request $request, Change $change, string $way, UndoOrRedoChange $turning): RedirectResponse
    {
        $deliverable = $change->deliverable_id === null
            ? null
            : Deliverable::query()->findOrFail($change->deliverable_id);
        $deliverable === null
            ? Gate::authorize('decide', \App\Models\Production::query()->findOrFail($change->production_id))
            : Gate::authorize('specify', $deliverable);
        /** @var User $by */
        $by = $request->user();
        $turning->run($change, $way === 'undo', $by);

        return back()->with('turned', ['id' => $change->id, 'way' => $way]);
    }

    /** Says that somebody looks at what is asked, and hears who else does and whether it has changed. */
    public function presence(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('view', $deliverable);
        /** @var User $reader */
        $reader = $request->user();
        $deliverable->load('production', 'specification.latest');
        $key = "presence:{$deliverable->specification_id}";
        $now = time();
        $there = Cache::get($key);
        /** @var array<int, array{string, int}> $there */
        $there = array_filter(
            is_array($there) ? $there : [],
            static fn (array $each): bool => $each[1] > $now - self::PRESENT,
        );
        $there[$reader->id] = [$reader->name, $now];
        Cache::put($key, $there, self::PRESENT * 2);
        unset($there[$reader->id]);

        // who that is, is nothing for a learner to know
        $names = $reader->roleIn($deliverable->production_id) !== Role::Learner
            ? array_column($there, 0)
            : array_map(static fn (): string => 'Somebody', array_values($there));

        return response()->json(
            ['others' => array_slice($names, 0, 20), 'state' => SpecificationPage::state($deliverable)],
        );
    }
}
