<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\CarryOutMoves;
use App\Actions\Checks\PlanMoves;
use App\Actions\Checks\UndoMoves;
use App\Http\Pages\Check\PlannedMoves;
use App\Language\Phrase;
use App\Models\Check;
use App\Models\CheckState;
use App\Models\FileMove;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** Files of an intake renamed, moved and set aside as a check says, and back. */
final class MoveController
{
    public function show(#[CurrentUser] User $reader, Check $check, PlanMoves $plan): JsonResponse
    {
        abort_unless($check->state === CheckState::Done, 404);
        try {
            return response()->json(new PlannedMoves($plan->run($check, $reader, 'now')));
        } catch (PlainSentence $refused) {
            return response()->json(['message' => $refused->getMessage()], 422);
        }
    }

    public function store(#[CurrentUser] User $by, Check $check, CarryOutMoves $carryOut): RedirectResponse
    {
        abort_unless($check->state === CheckState::Done, 404);
        if ($check->deliverable->checks()->underWay()->exists()) {
            throw ValidationException::withMessages(
                ['moves' => Phrase::of('A check of this deliverable is under way; wait for it or stop it.')],
            );
        }
        try {
            $move = $carryOut->run($check, $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['moves' => $refused->getMessage()]);
        }

        return redirect()->route('frames', $check->deliverable_id)
            ->with('told', Phrase::counted(
                $move->files,
                ':count file renamed or moved. Checked again.|:count files renamed or moved. Checked again.',
            ));
    }

    public function destroy(#[CurrentUser] User $by, FileMove $move, UndoMoves $undo): RedirectResponse
    {
        try {
            $files = $undo->run($move, $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['moves' => $refused->getMessage()]);
        }

        return redirect()->route('frames', $move->deliverable_id)
            ->with('told', Phrase::counted(
                $files,
                ':count file back where it was.|:count files back where they were.',
            ));
    }
}
