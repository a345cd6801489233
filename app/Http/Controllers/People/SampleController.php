<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\Productions\MakeSample;
use App\Language\Phrase;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A small production to look around in. */
final class SampleController
{
    public function store(#[CurrentUser] User $by, MakeSample $sample): RedirectResponse
    {
        $made = $sample->run($by);

        return redirect()->route('production', $made->id)
            ->with('told', Phrase::of('This is a sample. It is removed, with its files, on its page Settings.'));
    }

    public function destroy(Production $production, MakeSample $sample): RedirectResponse
    {
        abort_unless($production->is_sample, 404);
        $sample->remove($production);

        return redirect()->route('productions')->with('told', Phrase::of('The sample is gone, with its files.'));
    }
}
