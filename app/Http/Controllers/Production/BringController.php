<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\BringPage;
use App\Http\Pages\Production\BroughtFile;
use App\Http\Requests\Production\BroughtRequest;
use App\Intake\Ownership;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Inertia\Response;
use PlainLedger\Core\Recognition\Recogniser;

/** One place that takes whatever is dropped, and says what it is. */
final class BringController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new BringPage($production, $reader))->render();
    }

    /**
     * What each file is, and whose; nothing is kept of it.
     *
     * @answers array{files: list<BroughtFile>}
     */
    public function look(BroughtRequest $request, #[CurrentUser] User $reader, Production $production): JsonResponse
    {
        $owners = Ownership::among($production->deliverablesFor($reader)->with('owner')->orderBy('code')->get());
        $recogniser = new Recogniser($production->fieldMap(), $production->logShapes());
        $found = [];
        foreach ($request->files() as [$name, $source]) {
            $found[] = new BroughtFile($recogniser->of($name, $source), $owners);
        }

        return response()->json(['files' => $found]);
    }
}
