<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What programs can call: as a document of OpenAPI, and as a plain page of it. */
final class DescriptionController
{
    public function document(): Response
    {
        return response(self::text(), 200, ['Content-Type' => 'application/json']);
    }

    public function page(): View
    {
        /** @var array<string, mixed> $document */
        $document = json_decode(self::text(), true);

        return view('api', ['document' => $document]);
    }

    private static function text(): string
    {
        return (string) file_get_contents(base_path('docs/schema/openapi.json'));
    }
}
