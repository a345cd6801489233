<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Requests\Production\LogShapeRequest;
use App\Language\Phrase;
use App\Models\Production;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** How the lines of a production’s logs read. */
final class LogShapeController
{
    private const MOST = 30;

    public function store(LogShapeRequest $request, Production $production): RedirectResponse
    {
        $made = $request->shape();
        $names = $request->names();
        $production->alone(static function (Production $now) use ($names, $made): void {
            $shapes = array_values(array_filter(
                $now->log_shapes ?? [],
                static fn (array $s): bool => ! in_array($s['name'], $names, true),
            ));
            $shapes = $made === null ? $shapes : [...$shapes, $made];
            if (count($shapes) > self::MOST) {
                throw ValidationException::withMessages(['shape' => Phrase::of(
                    'A production has at most 30 shapes of its own.',
                )]);
            }
            $now->update(['log_shapes' => $shapes]);
        });

        return back();
    }
}
