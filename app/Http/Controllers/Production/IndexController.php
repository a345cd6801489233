<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Book\BookIndex;
use App\Models\Production;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The index beside the pages of a production: asked for once, and then only where it has changed. */
final class IndexController
{
    public function __invoke(Request $request, Production $production, #[CurrentUser] User $reader): JsonResponse
    {
        $response = response()->json(new BookIndex($production, $reader));
        $response->setEtag(hash('xxh128', (string) $response->getContent()))->isNotModified($request);

        return $response;
    }
}
