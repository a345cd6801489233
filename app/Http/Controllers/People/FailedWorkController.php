<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Language\Phrase;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Artisan;

/** Work that has failed: once more, or never. */
final class FailedWorkController
{
    public function update(string $failed): RedirectResponse
    {
        Artisan::call('queue:retry', ['id' => [$failed]]);

        return back()->with('told', Phrase::of('It waits for its turn once more.'));
    }

    public function destroy(string $failed): RedirectResponse
    {
        Artisan::call('queue:forget', ['id' => $failed]);

        return back()->with('told', Phrase::of('It is dropped.'));
    }
}
