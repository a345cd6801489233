<?php

declare(strict_types=1);

namespace App\Http\Controllers\Production;

use App\Actions\Lists\ExportList;
use App\Http\Downloads;
use App\Models\Production;
use Illuminate\Http\Response as PlainResponse;

/** All deliverables of a production, as a list or as a timeline. */
final class ListFileController
{
    public function __invoke(Production $production, string $format, ExportList $export): PlainResponse
    {
        [$body, $type] = match ($format) {
            'csv' => [$export->csv($production), 'text/csv; charset=utf-8'],
            'otio' => [$export->timeline($production), 'application/json'],
            default => abort(404),
        };

        return Downloads::file($body, $type, "{$production->code}-deliverables.{$format}");
    }
}
