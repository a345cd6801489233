<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\IntakeFolder;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Media\ScanDepth;

/** Checks a folder, beside the newest scene settings where there are any. */
final readonly class CheckFolder
{
    public function __construct(private OpenCheck $open) {}

    /** At once where it is small, else by the queue. */
    public function run(Deliverable $deliverable, IntakeFolder $folder, ScanDepth $depth, User $by): Check
    {
        $scene = $deliverable->scenes()->latest('id')->first();
        $check = $this->open->run(
            $deliverable,
            $scene,
            $by,
            ['root' => $folder->root->id, 'folder' => $folder->below, 'depth' => $depth->value],
        );
        if (! $check->wasRecentlyCreated) {
            return $check;
        }
        $atOnce = ScanSlice::isAtOnce($check, $folder->listing(), $depth);
        $atOnce ? ScanSlice::dispatchSync($check->id) : ScanSlice::dispatch($check->id);

        return $check->refresh();
    }
}
