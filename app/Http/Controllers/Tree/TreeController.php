<?php

declare(strict_types=1);

namespace App\Http\Controllers\Tree;

use App\Actions\Trees\BeginTree;
use App\Http\Pages\Tree\TreePage;
use App\Http\Requests\Production\FolderRequest;
use App\Http\Requests\Tree\AssignmentRequest;
use App\Intake\IntakeFolder;
use App\Models\DeliveredTree;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use PlainLedger\Core\Text\PlainSentence;

/** A folder in which several deliverables were delivered. */
final class TreeController
{
    public function show(#[CurrentUser] User $reader, Production $production): Response
    {
        return (new TreePage($production, $reader))->render();
    }

    public function store(
        FolderRequest $request,
        #[CurrentUser] User $by,
        Production $production,
        BeginTree $begin,
    ): RedirectResponse {
        try {
            $root = $request->intakeRoot($production->id);
            $begin->run($production, IntakeFolder::ofProduction($root, $request->below()), $by);
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['below' => $refused->getMessage()]);
        }

        return redirect()->route('tree', $production->id);
    }

    /** What fits two or none is said whose it is. */
    public function update(AssignmentRequest $request, Production $production, BeginTree $begin): RedirectResponse
    {
        $tree = self::newest($production);
        try {
            $begin->assign($tree, $request->place(), $request->deliverable());
        } catch (PlainSentence $refused) {
            throw ValidationException::withMessages(['place' => $refused->getMessage()]);
        }

        return redirect()->route('tree', $production->id);
    }

    /** Looked through no further. */
    public function destroy(Production $production, BeginTree $begin): RedirectResponse
    {
        $begin->stop(self::newest($production));

        return redirect()->route('tree', $production->id);
    }

    private static function newest(Production $production): DeliveredTree
    {
        return DeliveredTree::query()->where('production_id', $production->id)->latest('id')->firstOrFail();
    }
}
