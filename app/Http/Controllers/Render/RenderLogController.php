<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Actions\Logs\BeginLog;
use App\Actions\Logs\FeedLog;
use App\Actions\Logs\FollowLog;
use App\Actions\Logs\ForgetLog;
use App\Http\OpenedFolder;
use App\Http\Pages\Render\LogShown;
use App\Http\Pages\Render\LogsInFolder;
use App\Http\Requests\Production\FolderRequest;
use App\Http\Requests\Render\LogPieceRequest;
use App\Models\Deliverable;
use App\Models\RenderLog;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** Logs that are sent, and how far they have come. */
final class RenderLogController
{
    /** What lies in a folder of the intake that could be a log. */
    public function index(FolderRequest $request, #[CurrentUser] User $reader, Deliverable $deliverable): JsonResponse
    {
        return response()->json(new LogsInFolder(OpenedFolder::of($request, $deliverable, $reader)));
    }

    /** A piece of one; its first piece begins it. */
    public function store(
        LogPieceRequest $request,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        BeginLog $begin,
        FeedLog $feed,
    ): JsonResponse {
        $deliverable->loadAsked();
        $bytes = $request->bytes();
        try {
            $log = $request->filled('log')
                ? $deliverable->renderLogs()->whereNull('path')->findOrFail($request->integer('log'))
                : $begin->run($deliverable, $request->log(), $bytes, $request->shape(), $by);
            $log->setRelation('deliverable', $deliverable);
            $feed->run($log, $bytes, $request->isLast());
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['log' => $refused->getMessage()]);
        }

        return response()->json(new LogShown($log));
    }

    public function show(#[CurrentUser] User $reader, RenderLog $log, FollowLog $follow): JsonResponse
    {
        $follow->run($log, $reader->can('specify', $log->deliverable->loadAsked()));

        return response()->json(new LogShown($log));
    }

    public function destroy(RenderLog $log, ForgetLog $forget): RedirectResponse
    {
        $forget->run($log);

        return redirect()->route('render', $log->deliverable_id);
    }
}
