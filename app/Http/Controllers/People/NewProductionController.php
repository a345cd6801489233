<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\MakeProduction;
use App\Http\Pages\People\NewProductionPage;
use App\Http\Requests\People\ProductionRequest;
use App\Language\Phrase;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Response;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Specification\Preset;

/** A production that is begun. */
final class NewProductionController
{
    public function create(): Response
    {
        return (new NewProductionPage)->render();
    }

    public function store(
        ProductionRequest $request,
        #[CurrentUser] User $by,
        MakeProduction $makeProduction,
    ): RedirectResponse {
        $rate = trim($request->string('rate')->toString());
        $house = Preset::find($request->string('preset')->toString())?->forTheHouse() ?? [];
        $made = $makeProduction->run(
            $request->string('code')->toString(),
            trim($request->string('name')->toString()),
            $request->string('kind')->toString(),
            $by,
            ($rate === '' ? [] : ['time.rate' => (string) FrameRate::parse($rate)]) + $house,
            $request->string('time_zone')->toString() ?: null,
        );

        return redirect()->route('production', $made->id)->with('told', Phrase::of(
            ':name is begun.',
            ['name' => $made->name],
        ));
    }
}
