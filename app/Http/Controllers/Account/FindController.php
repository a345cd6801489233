<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Http\Pages\Book\Found;
use App\Models\Deliverable;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Whatever bears a word, among all that the reader may see. */
final class FindController
{
    private const LONGEST = 120;

    /** @answers list<Found> */
    public function __invoke(Request $request, #[CurrentUser] User $reader): JsonResponse
    {
        $text = $request->query('q');
        $open = Deliverable::query()->find($request->integer('deliverable'));

        return response()->json(Found::of(
            is_string($text) ? mb_substr(trim($text), 0, self::LONGEST) : '',
            $reader,
            $open !== null && $reader->can('view', $open) ? $open : null,
        ));
    }
}
