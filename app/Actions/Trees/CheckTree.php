<?php

declare(strict_types=1);

namespace App\Actions\Trees;

use App\Actions\Checks\CheckFolder;
use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\DeliveredTree;
use App\Models\User;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Text\PlainSentence;

/** Begins a check of every deliverable of a tree that has a folder of its own in it. */
final readonly class CheckTree
{
    public function __construct(private CheckFolder $check) {}

    /** @return array{int, int} how many were begun, and how many could not be */
    public function run(DeliveredTree $tree, User $by): array
    {
        [$begun, $refused] = [0, 0];
        foreach ($tree->ownFolders() as $id => $folder) {
            $deliverable = Deliverable::query()->where('production_id', $tree->production_id)->find($id);
            try {
                if ($deliverable !== null) {
                    $place = IntakeFolder::open($tree->intakeRoot, $folder, $deliverable->loadAsked(), true);
                    $this->check->run($deliverable, $place, ScanDepth::Quick, $by);
                    $begun++;
                }
            } catch (PlainSentence) {
                $refused++;
            }
        }

        return [$begun, $refused];
    }
}
