<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\FollowedLink;
use App\Http\OpenedPicked;
use App\Http\Pages\Check\OwnFolderPage;
use App\Http\Requests\Check\PickedFolderRequest;
use App\Intake\PickedFolder;
use App\Models\LinkKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** For somebody without a sign-in: a folder of their own against what is asked, before it is handed in. */
final class OwnFolderController
{
    public function show(Request $request, int $link): Response|PlainResponse
    {
        $found = FollowedLink::of($request, $link, LinkKind::Check);
        if ($found instanceof PlainResponse) {
            return $found;
        }
        $followed = (array) $request->session()->get(OpenedPicked::FOLLOWED, []);
        $request->session()->put(OpenedPicked::FOLLOWED, array_values(array_unique([...$followed, $found->id])));

        return (new OwnFolderPage($found))->render();
    }

    public function store(PickedFolderRequest $request, int $link): JsonResponse
    {
        $found = OpenedPicked::follows($request, $link);
        abort_unless($found?->isOpen() === true && $found->kind === LinkKind::Check, 403);
        try {
            $whole = $request->boolean('whole');
            $folder = PickedFolder::begin($found->deliverable, $found, $request->folder(), $whole, $request->ahead());
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['folder' => $refused->getMessage()]);
        }

        return response()->json(['token' => $folder->token]);
    }
}
