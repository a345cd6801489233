<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Report\SettingsTemplate;

/** Every fact that is asked of a scene, empty, for exporters. */
final class SettingsController
{
    public function show(Request $request, string $production, string $code): PlainResponse
    {
        $asked = (new ApiCaller($request))->deliverable($production, $code, 'view')->draft()->specification;

        return response(SettingsTemplate::json($asked))->header('Content-Type', 'application/json');
    }
}
