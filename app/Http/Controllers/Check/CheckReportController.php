<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\CheckReporting;
use App\Http\Downloads;
use App\Models\Check;
use App\Models\CheckState;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\TextReport;

/** A check as a file. */
final class CheckReportController
{
    public function __invoke(Check $check, string $format, CheckReporting $reporting): PlainResponse
    {
        abort_unless($check->state === CheckState::Done, 404);
        [$writer, $type] = match ($format) {
            'json' => [new JsonReport, 'application/json'],
            'csv' => [new CsvReport, 'text/csv; charset=utf-8'],
            'xml' => [new JunitReport, 'application/xml'],
            'txt' => [new TextReport, 'text/plain; charset=utf-8'],
            default => abort(404),
        };
        $name = "{$check->deliverable->code}-check-{$check->id}.{$format}";

        return Downloads::file($writer->write($reporting->asItWas($check)), $type, $name);
    }
}
