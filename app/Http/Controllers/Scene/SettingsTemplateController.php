<?php

declare(strict_types=1);

namespace App\Http\Controllers\Scene;

use App\Http\Downloads;
use App\Models\Deliverable;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Report\SettingsTemplate;

/** For exporters, and for filling in by hand: every fact that is asked of a scene, empty. */
final class SettingsTemplateController
{
    public function __invoke(Deliverable $deliverable, string $format): PlainResponse
    {
        $asked = $deliverable->loadAsked()->draft()->specification;
        $name = "{$deliverable->code}-settings.{$format}";

        return $format === 'json'
            ? Downloads::file(SettingsTemplate::json($asked), 'application/json', $name)
            : Downloads::file(SettingsTemplate::text($asked), 'text/plain; charset=utf-8', $name);
    }
}
