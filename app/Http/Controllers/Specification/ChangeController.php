<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Actions\Changes\UndoOrRedoChange;
use App\Models\Change;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Changes of what is asked, which can be taken back and made again. */
final class ChangeController
{
    public function update(
        #[CurrentUser] User $by,
        Change $change,
        string $way,
        UndoOrRedoChange $turning,
    ): RedirectResponse {
        $turning->run($change, $way === 'undo', $by);

        return back()->with('turned', ['id' => $change->id, 'way' => $way]);
    }
}
