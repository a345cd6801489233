<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\IntakeFolder;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Checking\Rules\ChecksumsRule;
use PlainLedger\Core\Checking\Rules\PixelRules;
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
        // pixels and checksums take their time, however few the files are
        $small = $depth === ScanDepth::Quick
            && PixelRules::sampleOptionsFor($check->resolved()) === null
            && ! ChecksumsRule::isAskedBy($check->resolved())
            && $folder->holdsAtMost((int) config('ledger.files_at_once'));
        if (! $check->wasRecentlyCreated) {
            return $check;
        }
        $small ? ScanSlice::dispatchSync($check->id) : ScanSlice::dispatch($check->id);

        return $check->refresh();
    }
}
