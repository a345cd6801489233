<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\OpenedFolder;
use App\Http\Pages\Check\FolderContents;
use App\Http\Requests\Production\FolderRequest;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** What lies in an intake folder, for the small browser of folders. */
final class IntakeController
{
    public function show(FolderRequest $request, #[CurrentUser] User $reader, Deliverable $deliverable): JsonResponse
    {
        return response()->json(new FolderContents(OpenedFolder::of($request, $deliverable, $reader)));
    }
}
