<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Pages\BookPage;
use App\Models\Preset;
use App\Models\Production;
use App\Models\Specification;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final class ProductionController
{
    public function index(Request $request): Response|RedirectResponse
    {
        /** @var User $reader */
        $reader = $request->user();
        $productions = $reader->productions()->orderBy('name')->get();
        if ($productions->count() === 1) {
            return redirect()->route('production', $productions->firstOrFail()->id);
        }
        $lines = $productions->map(static function (Production $production) use ($reader): array {
            $book = BookPage::of($production, $reader);
            /** @var list<array{verdict: string|null}> $index */
            $index = $book['index'];
            $count = static fn (?string $verdict): int => count(
                array_filter($index, static fn (array $l): bool => $l['verdict'] === $verdict),
            );

            return [
                'id' => $production->id,
                'code' => $production->code,
                'name' => $production->name,
                'kind' => $production->kind,
                'role' => $book['role'],
                'deliverables' => count($index),
                'unbalanced' => $count('unbalanced'),
                'open' => $count('open'),
                'balanced' => $count('balanced'),
            ];
        });

        return Inertia::render('Productions', ['productions' => $lines->all()]);
    }

    public function show(Request $request, Production $production): Response
    {
        Gate::authorize('view', $production);
        /** @var User $reader */
        $reader = $request->user();

        $book = BookPage::of($production, $reader);

        return Inertia::render(
            'Production',
            ['book' => $book] + (
                $book['decides'] === true
                    ? self::specifications($production)
                    : ['specifications' => [], 'presets' => []]
            ),
        );
    }

    /** @return array{specifications: list<array<string, mixed>>, presets: list<array<string, mixed>>} */
    private static function specifications(Production $production): array
    {
        return [
            'specifications' => array_values(
                $production->specifications()->with('latest')->withCount('deliverables')->orderBy('title')->get()
                    ->map(
                        static fn (Specification $s): array => [
                            'id' => $s->id,
                            'title' => $s->title,
                            'revision' => $s->latest->number,
                            'deliverables' => (int) $s->getAttribute('deliverables_count'),
                        ],
                    )->all(),
            ),
            'presets' => array_values(
                $production->presets()
                    ->orderBy('title')
                    ->get()
                    ->map(static fn (Preset $p): array => ['id' => $p->id, 'title' => $p->title])
                    ->all(),
            ),
        ];
    }
}
