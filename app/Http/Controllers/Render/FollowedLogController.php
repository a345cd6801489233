<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Actions\Logs\BeginLog;
use App\Actions\Logs\FollowLog;
use App\Actions\Logs\NewLog;
use App\Http\OpenedFolder;
use App\Http\Requests\Production\FolderRequest;
use App\Http\Requests\Render\FollowedLogRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** A log that lies in the intake, and is read on as it grows. */
final class FollowedLogController
{
    public function store(
        FollowedLogRequest $request,
        FolderRequest $place,
        #[CurrentUser] User $by,
        Deliverable $deliverable,
        BeginLog $begin,
        FollowLog $follow,
    ): RedirectResponse {
        $name = $request->string('file')->toString();
        try {
            $folder = OpenedFolder::of($place, $deliverable, $by);
            $source = $folder->file($name);
            $log = $begin->run(
                $deliverable,
                new NewLog(Text::shown($name), $source->size(), $folder->root, ltrim("{$folder->below}/{$name}", '/')),
                $source->read(0, FollowLog::BEGINNING),
                $request->shape(),
                $by,
            );
            $log->setRelation('deliverable', $deliverable);
            $follow->run($log, $by->can('specify', $deliverable));
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['log' => $refused->getMessage()]);
        }

        return redirect()->route('render', $deliverable->id);
    }
}
