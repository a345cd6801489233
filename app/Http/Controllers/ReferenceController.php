<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Specifications\StartingDocument;
use App\Intake\IntakeFolder;
use App\Models\IntakeRoot;
use App\Models\Production;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\Prose;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification as Resolved;

/** A delivery that is right, looked at to make a specification from it. */
final class ReferenceController
{
    public function browse(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(['root' => ['required', 'integer'], 'below' => ['nullable', 'string', 'max:1000']]);
        $root = IntakeRoot::query()->where('production_id', $production->id)->find((int) $given['root'])
            ?? throw FolderRefused::because('chosen', 'is in no intake of this production');

        return response()->json(IntakeFolder::ofProduction($root, $given['below'] ?? '')->contents());
    }

    /** What a folder's files would make a specification ask. */
    public function propose(Request $request, Production $production): JsonResponse
    {
        Gate::authorize('decide', $production);
        $given = $request->validate(
            [
                'root' => ['required', 'integer'],
                'below' => ['nullable', 'string', 'max:1000'],
                'code' => ['nullable', 'string', 'max:80'],
            ],
        );
        $document = StartingDocument::files(
            $production,
            (int) $given['root'],
            $given['below'] ?? '',
            $given['code'] ?? null,
        );
        $draft = Resolved::draft(new Layer(SetBy::Specification, $document, 'the files'));

        return response()->json(['parts' => array_map(static fn ($p): array => [
            'name' => $p->name,
            'prose' => Prose::of($p),
            'lines' => array_map(
                static fn (Requirement $r): array => ['label' => $r->descriptor->label, 'value' => $r->required()],
                array_values($p->requirements),
            ),
        ], $draft->specification->parts)]);
    }
}
