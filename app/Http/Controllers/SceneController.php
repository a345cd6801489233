<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Scenes\BringLargeScene;
use App\Actions\Scenes\BringScene;
use App\Actions\Scenes\BringTypedSettings;
use App\Actions\Scenes\PointAtName;
use App\Actions\Scenes\SetScenePart;
use App\Http\Pages\BookPage;
use App\Http\Pages\EntryPage;
use App\Intake\UploadedScenes;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Report\SettingsTemplate;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Settings of one scene: dropped as a file, pasted, or typed in; and names in them that are pointed at. */
final class SceneController
{
    private const LARGEST = 600_000_000;

    public function store(Request $request, Deliverable $deliverable, BringScene $bring): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $deliverable->load('production', 'owner', 'specification.latest');
        [$name, $content] = $this->brought($request);
        try {
            $bring->run($deliverable, $name, $content, $this->person($request));
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['settings' => $refused->getMessage()]);
        }

        return redirect()->route('scene', $deliverable->id);
    }

    /** @return array{string, string} name and content */
    private function brought(Request $request): array
    {
        $file = $request->file('settings');
        if ($file instanceof \Illuminate\Http\UploadedFile) {
            return [UploadedScenes::name($file), UploadedScenes::content($file)];
        }
        $given = $request->validate(
            ['pasted' => ['nullable', 'string', 'max:1000000'], 'name' => ['nullable', 'string', 'max:200']],
        );
        if (trim($given['pasted'] ?? '') === '') {
            throw ValidationException::withMessages(
                ['settings' => 'Drop a settings file here, choose one, or paste the settings as text.'],
            );
        }

        return [Text::shown(($given['name'] ?? '') ?: 'pasted'), $given['pasted']];
    }

    /**
     * A scene of many megabytes, as USD text, comes piece by piece. Only so much of one person is kept at a time, and
     * nothing of it once it was read.
     */
    public function piece(Request $request, Deliverable $deliverable, BringLargeScene $bring): JsonResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            [
                'piece' => ['required', 'file', 'max:8000'],
                'name' => ['required', 'string', 'max:200'],
                'at' => ['required', 'integer', 'min:0', 'max:'.self::LARGEST],
                'last' => ['required', 'in:0,1'],
            ],
            ['at.max' => 'Scenes of more than '.ByteSize::of(self::LARGEST).' are read by the console program alone.'],
        );
        /** @var \Illuminate\Http\UploadedFile $piece */
        $piece = $request->file('piece');
        $name = Text::shown($given['name']);
        $spool = 'spool/scene-'.$this->person($request)->id.'.usda';
        $path = Storage::path($spool);
        try {
            if ((int) $given['at'] === 0) {
                if (! str_starts_with(ltrim((string) file_get_contents($piece->getRealPath(), length: 64)), '#usda')) {
                    throw JsonRefused::because(
                        $name,
                        'only a scene as USD text can be that large. Of others, save the render settings alone.',
                    );
                }
                Storage::put($spool, '');
            }
            if (! Storage::exists($spool) || Storage::size($spool) !== (int) $given['at']) {
                throw JsonRefused::because($name, 'a piece of it did not arrive in its turn; begin it once more.');
            }
            file_put_contents($path, (string) $piece->getContent(), FILE_APPEND);
            if ($given['last'] === '0') {
                return response()->json(['check' => null]);
            }
            $deliverable->load('production', 'owner', 'specification.latest');
            $check = $bring->run($deliverable, $name, $path, $this->person($request));
        } catch (PlainSentence $refused) {
            Storage::delete($spool);
            throw ValidationException::withMessages(['settings' => $refused->getMessage()]);
        }
        Storage::delete($spool);

        return response()->json(['check' => $check->id]);
    }

    /** The sheet for what is read off the screen. */
    public function entry(Request $request, Deliverable $deliverable): Response
    {
        Gate::authorize('check', $deliverable);
        $deliverable->load('owner', 'production', 'specification.latest', 'newest');

        return Inertia::render(
            'EnterScene',
            [
                'book' => BookPage::of($deliverable->production, $this->person($request)),
                'deliverable' => BookPage::deliverable($deliverable),
                'entry' => EntryPage::of($deliverable, self::partOf($request, $deliverable)),
            ],
        );
    }

    /** What is typed so far, checked and not kept. */
    public function attempt(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('check', $deliverable);
        $deliverable->load('owner', 'production', 'specification.latest');

        return response()->json(
            EntryPage::attempt($deliverable, self::typed($request), self::partOf($request, $deliverable)),
        );
    }

    public function typedIn(Request $request, Deliverable $deliverable, BringTypedSettings $bring): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $typed = array_filter(self::typed($request), static fn (string $value): bool => $value !== '');
        if ($typed === []) {
            throw ValidationException::withMessages(['settings' => 'Nothing has been typed in yet.']);
        }
        $deliverable->load('production', 'owner', 'specification.latest');
        $bring->run($deliverable, $typed, self::partOf($request, $deliverable), $this->person($request));

        return redirect()->route('scene', $deliverable->id);
    }

    /** The part that is typed in, of several; null where there is one alone. */
    private static function partOf(Request $request, Deliverable $deliverable): ?string
    {
        $parts = EntryPage::parts($deliverable);
        $asked = $request->input('part');

        return count($parts) < 2 || ! is_string($asked) || ! in_array($asked, $parts, true) ? null : $asked;
    }

    /** @return array<string, string> by field */
    private static function typed(Request $request): array
    {
        $given = $request->validate(
            ['typed' => ['present', 'array', 'max:300'], 'typed.*' => ['nullable', 'string', 'max:2000']],
        );
        $typed = [];
        foreach ($given['typed'] as $field => $value) {
            if (FieldNames::isField((string) $field)) {
                $typed[(string) $field] = trim($value ?? '');
            }
        }

        return $typed;
    }

    /** Which part the settings make, where their format and name do not tell it rightly. */
    public function part(Request $request, Deliverable $deliverable, SetScenePart $set): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $deliverable->load('production', 'owner', 'specification.latest');
        $parts = EntryPage::parts($deliverable);
        $given = $request->validate(
            ['part' => ['nullable', 'string', Rule::in($parts)]],
            ['part.in' => 'There is no such part.'],
        );
        abort_unless($deliverable->scenes()->exists(), 404);
        $set->run($deliverable, $given['part'] ?? null, $this->person($request));

        return back();
    }

    /** A name that was not understood is pointed at what it stands for. */
    public function point(Request $request, Deliverable $deliverable, PointAtName $point): RedirectResponse
    {
        Gate::authorize('check', $deliverable);
        $given = $request->validate([
            'name' => ['required', 'string', 'max:200'],
            'is' => ['nullable', 'string', 'max:80'],
            'unit' => ['nullable', 'string', 'max:20'],
            'word' => ['nullable', 'string', 'max:200'],
            'stands' => ['nullable', 'string', 'max:200'],
            'all' => ['boolean'],
        ], ['name.required' => 'Say which name.']);
        // for the whole production only those decide who decide what is asked
        $all = ($given['all'] ?? false) && $request->user()?->can('specify', $deliverable) === true;
        $deliverable->load('production', 'owner', 'specification.latest');
        $before = $deliverable->production->fieldMap()->of($given['name'])->words ?? [];
        $words = isset($given['word'], $given['stands']) && $given['word'] !== ''
            ? [$given['word'] => $given['stands']] + $before
            : $before;
        try {
            $meaning = FieldMap::meaning(
                array_filter(
                    [
                        'name' => $given['name'],
                        'is' => $given['is'] ?? null,
                        'unit' => $given['unit'] ?? null,
                        'words' => $words,
                    ],
                    static fn (mixed $v): bool => $v !== null && $v !== [],
                ) + ['is' => null],
                'This name',
                'it',
            );
            $point->run($deliverable, $meaning, $all, $this->person($request));
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['point' => $refused->getMessage()]);
        }

        return redirect()->route('scene', $deliverable->id);
    }

    /** For exporters, and for filling in by hand: every fact that is asked of a scene, empty. */
    public function template(Deliverable $deliverable, string $format): PlainResponse
    {
        Gate::authorize('view', $deliverable);
        $deliverable->load('production', 'owner', 'specification.latest');
        $asked = $deliverable->draft()->specification;
        [$body, $type] = $format === 'json'
            ? [SettingsTemplate::json($asked), 'application/json']
            : [SettingsTemplate::text($asked), 'text/plain; charset=utf-8'];

        return response($body)->header('Content-Type', $type)->header(
            'Content-Disposition',
            'attachment; filename="'.preg_replace('~[^A-Za-z0-9_.-]~', '_', $deliverable->code)."-settings.{$format}\"",
        );
    }

    private function person(Request $request): User
    {
        /** @var User $person */
        $person = $request->user();

        return $person;
    }
}
