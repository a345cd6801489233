<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Actions\Scenes\BringLargeScene;
use App\Http\Requests\Scene\ScenePieceRequest;
use App\Intake\SceneSpool;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** A scene of many megabytes, as USD text, which comes piece by piece. */
final class ScenePieceController
{
    /** @answers array{check: int|null} */
    public function store(
        ScenePieceRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        BringLargeScene $bring,
    ): JsonResponse {
        $spool = new SceneSpool($by->id, $request->name());
        try {
            $spool->add($request->integer('at'), $request->piece()->getContent());
            if (! $request->isLast()) {
                return response()->json(['check' => null]);
            }
            $check = $bring->run($deliverable->loadAsked(), $request->name(), $spool->path(), $by);
        } catch (PlainSentence $refused) {
            $spool->remove();
            throw ValidationException::withMessages(['settings' => $refused->getMessage()]);
        }
        $spool->remove();

        return response()->json(['check' => $check->id]);
    }
}
