<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Http\Pages\Production\ProofOfAll;
use App\Models\Production;
use Illuminate\Http\JsonResponse;

/** What contradicts itself anywhere in a production. */
final class ProofController
{
    public function __invoke(Production $production): JsonResponse
    {
        return response()->json(new ProofOfAll($production));
    }
}
