<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Models\Check;
use App\Models\FileMove;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;
use PlainLedger\Core\Remedy\FileMoves\MoveRun;

/** Renames, moves and sets aside as a check says, and checks again. */
final readonly class CarryOutMoves
{
    public function __construct(private PlanMoves $plan, private CheckFolder $again) {}

    /**
     * @throws FolderRefused
     * @throws MoveRefused nothing was changed then
     */
    public function run(Check $check, User $by): FileMove
    {
        if ($check->delivery?->isInFolder() === false) {
            throw MoveRefused::because(
                $check->delivery->folder,
                'cannot be changed from here; take the script to where the files are',
            );
        }
        $folder = CheckedFolder::of($check, $by);
        $run = MoveRun::in($folder->path);
        // what was begun and not ended comes first, so that the plan is made of what is there
        $run->resume();
        $mark = Carbon::now()->utc()->format('Y-m-d-His');
        $plan = $this->plan->run($check, $by, $mark);
        if ($plan->isEmpty()) {
            throw MoveRefused::because('', 'there is nothing to rename, to move or to set aside');
        }
        $work = $mark.'-'.Str::lower(Str::random(6));
        $run->apply($plan, $work);
        $move = FileMove::query()->create([
            'deliverable_id' => $check->deliverable_id,
            'intake_root_id' => $folder->root->id,
            'user_id' => $by->id,
            'folder' => $folder->below,
            'work' => $work,
            'files' => count($plan->moves),
        ]);
        $this->again->run($check->deliverable, $folder, ScanDepth::from($check->delivery->depth ?? 'quick'), $by);

        return $move;
    }
}
