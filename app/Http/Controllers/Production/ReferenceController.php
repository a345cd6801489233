<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Specifications\StartingDocument;
use App\Http\Pages\Check\FolderContents;
use App\Http\Pages\Production\ProposalShown;
use App\Http\Requests\Production\FolderRequest;
use App\Intake\IntakeFolder;
use App\Models\Production;
use Illuminate\Http\JsonResponse;
use PlainLedger\Core\Specification\Layer;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Specification\Specification;

/** Files that are right, which a specification can be made from. */
final class ReferenceController
{
    /** What lies in a folder of the intake. */
    public function show(FolderRequest $request, Production $production): JsonResponse
    {
        $folder = IntakeFolder::ofProduction($request->intakeRoot($production->id), $request->below());

        return response()->json(new FolderContents($folder));
    }

    /**
     * What a folder's files would make a specification ask.
     *
     * @answers ProposalShown
     */
    public function store(FolderRequest $request, Production $production): JsonResponse
    {
        $code = $request->input('code');
        $document = StartingDocument::files(
            $production,
            $request->integer('root'),
            $request->below(),
            is_string($code) ? $code : null,
        );
        $draft = Specification::draft(new Layer(SetBy::Specification, $document, 'the files'));

        return response()->json(new ProposalShown($draft->specification));
    }
}
