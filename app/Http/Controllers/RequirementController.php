<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\SpecificationPage;
use App\Http\Plainly;
use App\Intake\ApprovedPictures;
use App\Ledger\ChangeDesk;
use App\Ledger\Target;
use App\Models\Change;
use App\Models\Deliverable;
use App\Models\Role;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Proofreader;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\RequirementValue;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Text\PlainSentence;

/** Changing what is asked of one deliverable, in whichever layer. */
final class RequirementController
{
    /** Seconds after which somebody who said nothing is not there any more. */
    private const PRESENT = 30;

    public function update(Request $request, Deliverable $deliverable, ChangeDesk $desk): RedirectResponse
    {
        Gate::authorize('specify', $deliverable);
        $given = $request->validate([
            'id' => ['required', 'string', 'max:80'],
            'part' => ['nullable', 'string', 'max:80'],
            'value' => ['nullable', 'string', 'max:4000'],
            'level' => ['required', 'in:must,should'],
            'why' => ['nullable', 'string', 'max:300'],
            'scope' => ['required', 'in:deliverable,specification,house'],
            'drop' => ['boolean'],
            'seen' => ['nullable', 'string', 'max:20'],
        ]);
        $deliverable->load('production', 'owner', 'specification.latest');
        $id = $given['id'];
        /** @var User $by */
        $by = $request->user();
        $target = SpecificationPage::targets($deliverable)[$given['scope']];
        $several = count($deliverable->draft()->specification->parts) > 1;
        $part = $given['scope'] === 'house'
            ? ''
            : $target->partFor($given['part'] ?? '', $id, $several && ($given['part'] ?? '') !== '');
        try {
            $change = DB::transaction(function () use ($deliverable, $given, $id, $target, $part, $desk, $by): ?Change {
                $target->reload();
                $json = $given['drop'] ?? false
                    // what this layer set is taken back, and what lies below holds again; else it is asked here no more
                    ? ($target->read($part, $id) !== null ? null : 'null')
                    : self::json($id, $given['value'] ?? '', $given['level'], $given['why'] ?? null);
                $change = $desk->change($target, $part, $id, $json, $by, $given['seen'] ?? null);
                if ($given['scope'] !== 'deliverable' && ! ($given['drop'] ?? false)) {
                    // who changes it for all does not mean to except this one
                    $own = Target::deliverable($deliverable);
                    foreach (['', $given['part'] ?? ''] as $place) {
                        if ($own->read($place, $id) !== null) {
                            $removed = $desk->change($own, $place, $id, null, $by, follows: $change);
                            $change ??= $removed;
                        }
                    }
                }
                $deliverable->refresh()->load('production', 'owner', 'specification.latest');
                foreach ($deliverable->resolved()->parts as $each) {
                    // widened by handles it may run out of bounds
                    $each->expected();
                }
                $deliverable->keepParts();

                return $change;
            });
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['value' => Plainly::said($refused)]);
        }

        return back()->with('change', $change?->id);
    }

    /** What is kept of what was typed: the value alone, where nothing more is said of it. */
    public static function json(string $id, string $value, string $level, ?string $why): string
    {
        $descriptor = Catalogue::standard()->find($id)
            ?? throw ValidationException::withMessages(['value' => "“{$id}” is not known here."]);
        $typed = RequirementValue::typed($descriptor, $value);
        $new = $level === 'must' && $why === null
            ? $typed
            : ['value' => $typed] + array_filter(['level' => $level, 'why' => $why], is_string(...));
        $requirement = Requirement::read($descriptor, $new, SetBy::Deliverable, 'Here');
        $ask = SpecificationDocument::ask($requirement);

        return json_encode($ask, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
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
            return response()->json(['says' => null, 'fault' => Plainly::said($refused)]);
        }
    }

    /** A value that pieces of names stand for. */
    public function value(Request $request, Deliverable $deliverable, ChangeDesk $desk): RedirectResponse
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
        $change = $desk->change(
            Target::deliverable($deliverable),
            '',
            "values.{$given['name']}",
            $value === ''
                ? null
                : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            $by,
        );

        return back()->with('change', $change?->id);
    }

    /** Takes a change back, or makes it again. */
    public function turn(Request $request, Change $change, string $way, ChangeDesk $desk): RedirectResponse
    {
        $deliverable = $change->deliverable_id === null
            ? null
            : Deliverable::query()->findOrFail($change->deliverable_id);
        $deliverable === null
            ? Gate::authorize('decide', \App\Models\Production::query()->findOrFail($change->production_id))
            : Gate::authorize('specify', $deliverable);
        /** @var User $by */
        $by = $request->user();
        $desk->turn($change, $way === 'undo', $by);

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
