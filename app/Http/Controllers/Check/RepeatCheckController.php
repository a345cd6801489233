<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\RepeatCheck;
use App\Language\Phrase;
use App\Models\Check;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** A check once more, by what is asked now. */
final class RepeatCheckController
{
    public function __invoke(#[CurrentUser] User $by, Check $check, RepeatCheck $repeat): RedirectResponse
    {
        abort_if($check->isUnderWay(), 404);
        if ($check->deliverable->checks()->underWay()->exists()) {
            throw ValidationException::withMessages(
                ['again' => Phrase::of('A check of this deliverable is under way; wait for it or stop it.')],
            );
        }
        $told = $repeat->run($check, $by)->isUnderWay()
            ? 'The files are being looked at.'
            : 'Checked again, by what is asked now.';

        return back()->with('told', $told);
    }
}
