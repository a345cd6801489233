<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BookPage;
use App\Http\Pages\PatternTrial;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\RenderLog\LogEvent;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\FieldMeaning;
use PlainLedger\Core\Scene\FieldNames;
use PlainLedger\Core\Scene\FieldUnit;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** What settings are called in this production, and how the lines of its logs read. */
final class NamesController
{
    /** Of a sample, so many lines are read. */
    private const MOST_LINES = 200;

    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('decide', $production);
        /** @var User $reader */
        $reader = $request->user();
        $labels = FieldNames::offered();

        return Inertia::render('Names', [
            'book' => BookPage::of($production, $reader),
            'names' => array_map(
                static fn (FieldMeaning $m): array => $m->toArray() + [
                    'unit' => null,
                    'words' => (object) [],
                    'label' => $m->is === null ? null : $labels[$m->is] ?? $m->is,
                ],
                $production->fieldMap()->meanings(),
            ),
            'fields' => self::fields(),
            'shapes' => array_map(
                static fn (LogShape $s): array => ['name' => $s->name, 'patterns' => $s->toArray()],
                $production->logShapes(),
            ),
            'own' => count($production->log_shapes ?? []),
            'events' => array_map(
                static fn (LogEvent $e): array => ['event' => $e->value, 'says' => $e->spoken()],
                LogEvent::cases(),
            ),
            'pieces' => array_keys(LogPattern::PIECES),
        ]);
    }

    /** @return list<array{field: string, label: string, units: list<string>}> everything a name can stand for */
    public static function fields(): array
    {
        $fields = [];
        foreach (FieldNames::offered() as $field => $label) {
            $fields[] = [
                'field' => $field,
                'label' => $label,
                'units' => array_map(static fn (FieldUnit $u): string => $u->value, FieldUnit::of($field)),
            ];
        }

        return $fields;
    }

    public function update(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:200'],
                'is' => ['nullable', 'string', 'max:80'],
                'unit' => ['nullable', 'string', 'max:20'],
                'words' => ['array', 'max:100'],
                'words.*' => ['string', 'max:200'],
                'drop' => ['boolean'],
            ],
            ['name.required' => 'Say which name.'],
        );
        try {
            $production->alone(function (Production $now) use ($given): void {
                $map = $now->fieldMap();
                $this->keep(
                    $now,
                    ($given['drop'] ?? false)
                        ? $map->without($given['name'])
                        : $map->with(
                            FieldMap::meaning(
                                [
                                    'name' => $given['name'],
                                    'is' => $given['is'] ?? null,
                                    'unit' => $given['unit'] ?? null,
                                    'words' => $given['words'] ?? [],
                                ],
                                'This name',
                                'it',
                            ),
                        ),
                );
            });
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['name' => $refused->getMessage()]);
        }

        return back();
    }

    private function keep(Production $production, FieldMap $map): void
    {
        $production->update(
            ['field_map' => array_map(static fn (FieldMeaning $m): array => $m->toArray(), $map->meanings())],
        );
    }

    public function export(Production $production): PlainResponse
    {
        Gate::authorize('decide', $production);

        return response(
            json_encode(
                $production->fieldMap()->toArray($production->name),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
            )."\n",
        )
            ->header('Content-Type', 'application/json')->header(
                'Content-Disposition',
                "attachment; filename=\"{$production->code}-field-map.json\"",
            );
    }

    /** Names of another production or house are laid over those that are here. */
    public function import(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $file = $request->file('map');
        if (! $file instanceof \Illuminate\Http\UploadedFile || ! $file->isValid()) {
            throw ValidationException::withMessages(['map' => 'Choose a file with a field map.']);
        }
        $name = Text::shown($file->getClientOriginalName());
        try {
            $map = FieldMap::fromDocument(JsonDocument::parse((string) $file->getContent(), $name, FieldMap::FORMAT));
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['map' => $refused->getMessage()]);
        }
        $production->alone(fn (Production $now) => $this->keep($now, $now->fieldMap()->under($map)));

        return back()->with('told', Text::count(count($map->meanings()), 'name').' read from '.$name.'.');
    }

    /** How pasted lines of a log read by patterns that are being written. */
    public function tryPatterns(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'patterns' => ['present', 'array', 'max:20'],
                'patterns.*.event' => ['required', 'string', 'max:20'],
                'patterns.*.pattern' => ['nullable', 'string', 'max:500'],
                'sample' => ['nullable', 'string', 'max:100000'],
            ],
        );
        $trial = new PatternTrial($given['patterns']);
        $lines = [];
        foreach (array_slice(preg_split('~\R~', $given['sample'] ?? '') ?: [], 0, self::MOST_LINES) as $text) {
            $lines[] = ['text' => mb_strimwidth(Text::shown($text), 0, 300, '…'), 'told' => $trial->read($text)];
        }

        return response()->json(['lines' => $lines, 'faults' => (object) $trial->faults]);
    }

    public function shape(Request $request, Production $production): RedirectResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'was' => ['nullable', 'string', 'max:80'],
                'drop' => ['boolean'],
                'patterns' => ['array', 'max:20'],
                'patterns.*.event' => ['required', 'string', 'max:20'],
                'patterns.*.pattern' => ['nullable', 'string', 'max:500'],
            ],
            ['name.required' => 'Give the shape a name.'],
        );
        $made = ($given['drop'] ?? false) ? null : self::made($given['name'], $given['patterns'] ?? []);
        $production->alone(static function (Production $now) use ($given, $made): void {
            $others = static fn (array $s): bool => $s['name'] !== ($given['was'] ?? $given['name'])
                && $s['name'] !== $given['name'];
            $shapes = array_values(array_filter($now->log_shapes ?? [], $others));
            $shapes = $made === null ? $shapes : [...$shapes, $made];
            if (count($shapes) > 30) {
                throw ValidationException::withMessages(['shape' => 'A production has at most 30 shapes of its own.']);
            }
            $now->update(['log_shapes' => $shapes]);
        });

        return back();
    }

    /**
     * @param  array<array-key, array{event: mixed, pattern?: mixed}>  $lines
     * @return array{name: string, patterns: list<array{event: string, pattern: string}>}
     */
    private static function made(string $name, array $lines): array
    {
        $patterns = array_map(
            static fn (array $p): array => [
                'event' => (string) $p['event'],
                'pattern' => trim((string) ($p['pattern'] ?? '')),
            ],
            array_values($lines),
        );
        try {
            return [
                'name' => $name,
                'patterns' => LogShape::of(
                    $name,
                    array_values(array_filter($patterns, static fn (array $p): bool => $p['pattern'] !== '')),
                )->toArray(),
            ];
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['shape' => $refused->getMessage()]);
        }
    }
}
