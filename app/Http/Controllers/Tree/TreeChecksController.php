<?php

declare(strict_types=1);

namespace App\Http\Controllers\Tree;

use App\Actions\Trees\CheckTree;
use App\Models\DeliveredTree;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A check of each deliverable of a tree, each in its own folder of it. */
final class TreeChecksController
{
    public function __invoke(#[CurrentUser] User $by, Production $production, CheckTree $check): RedirectResponse
    {
        $tree = DeliveredTree::query()->where('production_id', $production->id)->latest('id')->firstOrFail();
        [$begun, $refused] = $check->run($tree, $by);

        return redirect()->route('tree', $production->id)->with(
            'said',
            trim("{$begun} begun. ".($refused === 0 ? '' : "{$refused} could not be begun: they are under way.")),
        );
    }
}
