<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\CheckArchive;
use App\Http\Requests\Check\ArchivePieceRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** An archive that is handed in, which comes piece by piece and is checked when all of it has come. */
final class ArchivePieceController
{
    /** @answers array{arrived: int} */
    public function show(ArchivePieceRequest $request, #[CurrentUser] User $by, Deliverable $deliverable): JsonResponse
    {
        return response()->json(['arrived' => $request->archive($deliverable, $by)->arrived()]);
    }

    /** @answers array{arrived: int} */
    public function store(
        ArchivePieceRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        CheckArchive $check,
    ): JsonResponse {
        $archive = $request->archive($deliverable, $by);
        try {
            $archive->add($request->integer('at'), (string) $request->piece()->getContent());
            $isWhole = $archive->isWhole();
            $isWhole && $check->run($deliverable, $archive->keep(), $request->name(), $request->depth(), $by);
        } catch (PlainSentence $refused) {
            $archive->remove();
            throw ValidationException::withMessages(['archive' => $refused->getMessage()]);
        }

        return response()->json(['arrived' => $isWhole ? $request->integer('size') : $archive->arrived()]);
    }
}
