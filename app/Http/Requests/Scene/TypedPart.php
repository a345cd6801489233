<?php

declare(strict_types=1);

namespace App\Http\Requests\Scene;

use App\Http\Pages\Scene\EntrySheet;
use App\Models\Deliverable;
use Illuminate\Http\Request;

/** The part that is typed in, of several. */
final readonly class TypedPart
{
    /** Null where there is one alone, or none of them is named. */
    public static function of(Request $request, Deliverable $deliverable): ?string
    {
        $parts = EntrySheet::partsOf($deliverable);
        $asked = $request->input('part');

        return count($parts) < 2 || ! is_string($asked) || ! in_array($asked, $parts, true) ? null : $asked;
    }
}
