<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Watches\WatchLook;
use App\Http\OpenedFolder;
use App\Http\Requests\Production\FolderRequest;
use App\Models\Deliverable;
use App\Models\FolderWatch;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use PlainLedger\Core\Text\PlainSentence;

/** A folder that a render fills, followed until it stands still. */
final class WatchController
{
    public function store(FolderRequest $request, #[CurrentUser] User $by, Deliverable $deliverable): RedirectResponse
    {
        try {
            $folder = OpenedFolder::of($request, $deliverable, $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['below' => $refused->getMessage()]);
        }
        FolderWatch::query()->where('deliverable_id', $deliverable->id)->delete();
        $watch = FolderWatch::query()->create([
            'deliverable_id' => $deliverable->id, 'intake_root_id' => $folder->root->id, 'user_id' => $by->id,
            'folder' => $folder->below, 'looks' => [],
        ]);
        WatchLook::begin($watch);

        return redirect()->route('frames', $deliverable->id);
    }

    public function destroy(Deliverable $deliverable): RedirectResponse
    {
        FolderWatch::query()->where('deliverable_id', $deliverable->id)->delete();

        return redirect()->route('frames', $deliverable->id);
    }
}
