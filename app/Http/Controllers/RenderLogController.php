<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Logs\BeginLog;
use App\Actions\Logs\FeedLog;
use App\Actions\Logs\FollowLog;
use App\Actions\Logs\ForgetLog;
use App\Actions\Logs\NewLog;
use App\Http\Pages\LogPage;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\RenderLog;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Logs of a render: sent, or followed where they are written. */
final class RenderLogController
{
    /** A log that is sent, a piece at a time: its first piece begins it. */
    public function send(
        Request $request,
        Deliverable $deliverable,
        BeginLog $begin,
        FeedLog $feed,
    ): JsonResponse {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            [
                'piece' => ['required', 'file', 'max:8000'],
                'log' => ['nullable', 'integer'],
                'name' => ['required', 'string', 'max:255'],
                'size' => ['required', 'integer', 'min:0'],
                'shape' => ['nullable', 'string', 'max:80'],
                'last' => ['required', 'in:0,1'],
            ],
        );
        $deliverable->load('production', 'owner', 'specification.latest');
        /** @var UploadedFile $piece */
        $piece = $request->file('piece');
        $bytes = (string) $piece->getContent();
        try {
            $log = isset($given['log']) ? $deliverable->renderLogs()->whereNull('path')->findOrFail((int) $given['log'])
                : $begin->run(
                    $deliverable,
                    new NewLog(Text::shown($given['name']), (int) $given['size']),
                    $bytes,
                    $given['shape'] ?? null,
                    $this->person($request),
                );
            $log->setRelation('deliverable', $deliverable);
            $feed->run($log, $bytes, $given['last'] === '1');
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['log' => $refused->getMessage()]);
        }

        return response()->json(LogPage::of($log));
    }

    /** What lies in a folder of the intake that could be a log. */
    public function logs(Request $request, Deliverable $deliverable): JsonResponse
    {
        Gate::authorize('check', $deliverable);
        $folder = $this->folder($request, $deliverable);

        return response()->json(['contents' => $folder->contents(), 'logs' => $folder->logs()]);
    }

    private function folder(Request $request, Deliverable $deliverable): IntakeFolder
    {
        $given = $request->validate(['root' => ['required', 'integer'], 'below' => ['nullable', 'string', 'max:1000']]);
        $deliverable->load('production', 'owner', 'specification.latest');
        $root = IntakeRoot::query()->where('production_id', $deliverable->production_id)->find((int) $given['root'])
            ?? throw FolderRefused::because('chosen', 'is in no intake of this production');

        return IntakeFolder::open(
            $root,
            $given['below'] ?? '',
            $deliverable,
            $this->person($request)->can('specify', $deliverable),
        );
    }

    public function beginFollowing(
        Request $request,
        Deliverable $deliverable,
        BeginLog $begin,
        FollowLog $follow,
    ): RedirectResponse {
        Gate::authorize('check', $deliverable);
        $given = $request->validate(
            ['file' => ['required', 'string', 'max:255'], 'shape' => ['nullable', 'string', 'max:80']],
        );
        try {
            $folder = $this->folder($request, $deliverable);
            $source = $folder->file($given['file']);
            $log = $begin->run(
                $deliverable,
                new NewLog(
                    Text::shown($given['file']),
                    $source->size(),
                    $folder->root,
                    ltrim("{$folder->below}/{$given['file']}", '/'),
                ),
                $source->read(0, FollowLog::BEGINNING),
                $given['shape'] ?? null,
                $this->person($request),
            );
            $log->setRelation('deliverable', $deliverable);
            $follow->run($log, $this->person($request)->can('specify', $deliverable));
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['log' => $refused->getMessage()]);
        }

        return redirect()->route('render', $deliverable->id);
    }

    public function follow(Request $request, RenderLog $log, FollowLog $follow): JsonResponse
    {
        $deliverable = $log->deliverable()->with('production', 'owner', 'specification.latest')->firstOrFail();
        Gate::authorize('view', $deliverable);
        $log->setRelation('deliverable', $deliverable);
        $follow->run($log, $this->person($request)->can('specify', $deliverable));

        return response()->json(LogPage::of($log));
    }

    public function forget(RenderLog $log, ForgetLog $forget): RedirectResponse
    {
        Gate::authorize('check', $log->deliverable);
        $forget->run($log);

        return redirect()->route('render', $log->deliverable_id);
    }

    private function person(Request $request): User
    {
        /** @var User $person */
        $person = $request->user();

        return $person;
    }
}
