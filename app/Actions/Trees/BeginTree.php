<?php

declare(strict_types=1);

namespace App\Actions\Trees;

use App\Actions\Checks\CheckRefused;
use App\Intake\IntakeFolder;
use App\Models\CheckState;
use App\Models\DeliveredTree;
use App\Models\Production;
use App\Models\User;
use Illuminate\Support\Carbon;

/** Has a delivered tree looked through, in the place of the one before. */
final readonly class BeginTree
{
    private const STOPPED = 'It was stopped before it was done, and nothing was changed.';

    /** @throws CheckRefused where one is being looked through */
    public function run(Production $production, IntakeFolder $folder, User $by): DeliveredTree
    {
        self::refuseWhileUnderWay($production);
        DeliveredTree::query()->where('production_id', $production->id)->delete();
        $tree = DeliveredTree::query()->create([
            'production_id' => $production->id, 'intake_root_id' => $folder->root->id, 'user_id' => $by->id,
            'folder' => $folder->below, 'state' => CheckState::Queued, 'seen_at' => Carbon::now(),
        ]);
        TreeJob::dispatch($tree->id);

        return $tree;
    }

    /** Something of it belongs to a deliverable, or to none again; the rest is worked out anew, and nothing read. */
    public function assign(DeliveredTree $tree, string $place, ?int $deliverable): void
    {
        self::refuseWhileUnderWay($tree->production);
        $byHand = array_diff_key($tree->by_hand ?? [], [$place => true]);
        $tree->update([
            'by_hand' => $deliverable === null ? $byHand : $byHand + [$place => (string) $deliverable],
            'state' => CheckState::Queued, 'fault' => null, 'seen_at' => Carbon::now(),
        ]);
        TreeJob::dispatch($tree->id);
    }

    /** Nobody wants to know any more; whoever reads just now leaves off by itself. */
    public function stop(DeliveredTree $tree): void
    {
        // what was looked through before still is
        $isKnown = $tree->report !== null;
        DeliveredTree::query()->whereKey($tree->id)->underWay()->update([
            'state' => $isKnown ? CheckState::Done : CheckState::Stopped,
            'fault' => $isKnown ? null : self::STOPPED, 'progress' => null,
        ]);
    }

    private static function refuseWhileUnderWay(Production $production): void
    {
        $newest = DeliveredTree::query()->where('production_id', $production->id)->latest('id')->first();
        if ($newest?->isUnderWay() === true) {
            throw CheckRefused::underWay();
        }
    }
}
