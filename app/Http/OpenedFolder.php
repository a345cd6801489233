<?php

declare(strict_types=1);

namespace App\Http;

use App\Intake\IntakeFolder;
use App\Models\Deliverable;
use App\Models\IntakeRoot;
use App\Models\User;
use Illuminate\Http\Request;
use PlainLedger\Core\Delivery\FolderRefused;

/** The folder of an intake that a request names, as far as it is open to whoever asks. */
final readonly class OpenedFolder
{
    /** @throws FolderRefused */
    public static function of(Request $request, Deliverable $deliverable, User $person): IntakeFolder
    {
        $below = $request->string('below')->toString();
        $root = IntakeRoot::query()
            ->where('production_id', $deliverable->production_id)
            ->find($request->integer('root'));
        if ($root === null) {
            throw FolderRefused::because($below === '' ? 'chosen' : $below, 'is in no intake of this production');
        }

        return IntakeFolder::open($root, $below, $deliverable->loadAsked(), $person->can('specify', $deliverable));
    }
}
