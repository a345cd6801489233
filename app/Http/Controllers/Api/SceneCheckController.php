<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Actions\Scenes\BringScene;
use App\Http\Pages\Scene\EntrySheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Text\Text;

/** Settings that a program sends are kept and checked. */
final class SceneCheckController
{
    /** The body is the settings themselves, in any form that is read here. */
    public function store(Request $request, string $production, string $code, BringScene $bring): JsonResponse
    {
        $caller = new ApiCaller($request);
        $deliverable = $caller->deliverable($production, $code, 'check');
        $name = Text::shown(mb_substr((string) $request->header('X-File-Name', 'sent by a program'), 0, 200));
        $content = (string) $request->getContent();
        if (trim($content) === '') {
            throw JsonRefused::because($name, 'nothing was sent. The body of the request is the settings themselves.');
        }
        if (strlen($content) > JsonDocument::LARGEST) {
            throw JsonRefused::because($name, 'it is larger than settings are.');
        }
        $parts = EntrySheet::partsOf($deliverable);
        $part = $request->query('part');
        if ($part !== null && ! in_array($part, $parts, true)) {
            throw JsonRefused::because($name, 'there is no such part; there are '.implode(', ', $parts).'.');
        }

        return ApiCaller::check($bring->run($deliverable, $name, $content, $caller->person(), part: $part));
    }
}
