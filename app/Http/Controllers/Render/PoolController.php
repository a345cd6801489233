<?php

declare(strict_types=1);

namespace App\Http\Controllers\Render;

use App\Http\Requests\Production\PoolRequest;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** The machines of a production. */
final class PoolController
{
    public function update(PoolRequest $request, Production $production): RedirectResponse
    {
        $pool = $request->pool();
        $seen = $request->seen();
        $production->alone(static function (Production $now) use ($pool, $seen): void {
            $stands = ['machines' => $now->pool['machines'] ?? 1, 'hours' => $now->pool['hours'] ?? ''];
            // who changes what another has changed meanwhile is told, and sees what stands now
            if ($seen !== null && $stands !== $seen) {
                $hours = $stands['hours'] === '' ? '' : " from {$stands['hours']}";
                throw ValidationException::withMessages([
                    'machines' => Phrase::of(
                        'Somebody has changed this meanwhile, to :machines:hours. Theirs stands; keep yours '
                            .'once more to change it.',
                        ['machines' => $stands['machines'], 'hours' => $hours],
                    ),
                ]);
            }
            $now->update(['pool' => $pool]);
        });

        return back();
    }
}
