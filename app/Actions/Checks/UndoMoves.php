<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\IntakeFolder;
use App\Models\FileMove;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Delivery\FolderRefused;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Remedy\FileMoves\MoveRefused;
use PlainLedger\Core\Remedy\FileMoves\MoveRun;

/** Puts files back to where they were before somebody had them renamed, all or none, and checks again. */
final readonly class UndoMoves
{
    public function __construct(private CheckFolder $again) {}

    /**
     * @return int how many files
     *
     * @throws FolderRefused|MoveRefused nothing was changed then
     */
    public function run(FileMove $move, User $by): int
    {
        if ($move->undone_at !== null) {
            throw MoveRefused::because('', 'this was undone already');
        }
        $deliverable = $move->deliverable->loadAsked();
        $folder = IntakeFolder::open($move->intakeRoot, $move->folder, $deliverable, $by->can('specify', $deliverable));
        $files = MoveRun::in($folder->path)->undo($move->work);
        $move->update(['undone_at' => Carbon::now()]);
        $this->again->run($deliverable, $folder, ScanDepth::Quick, $by);

        return $files;
    }
}
