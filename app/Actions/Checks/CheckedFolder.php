<?php

declare(strict_types=1);

namespace App\Actions\Checks;

use App\Intake\IntakeFolder;
use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Delivery\FolderRefused;

/** The folder that a check looked at, as far as it is open to whoever asks. */
final readonly class CheckedFolder
{
    /** @throws FolderRefused */
    public static function of(Check $check, User $reader): IntakeFolder
    {
        $delivery = $check->delivery;
        $root = $delivery?->intakeRoot;
        if ($root === null) {
            throw FolderRefused::because($delivery->folder ?? 'checked', 'is in no intake any more');
        }
        $deliverable = $check->deliverable->loadAsked();

        return IntakeFolder::open($root, $delivery->folder, $deliverable, $reader->can('specify', $deliverable));
    }
}
