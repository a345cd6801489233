<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Scenes\BringScene;
use App\Http\Pages\EntryPage;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Report\SettingsTemplate;
use PlainLedger\Core\Text\Text;

/** For programs: settings in, the check out. A deliverable is called by the codes of its production and its own. */
final class ApiController
{
    /** The body is the settings themselves, in any form that is read here. */
    public function check(Request $request, string $production, string $code, BringScene $bring): JsonResponse
    {
        $deliverable = $this->deliverable($request, $production, $code, 'check');
        /** @var User $by */
        $by = $request->user();
        $name = Text::shown(mb_substr((string) $request->header('X-File-Name', 'sent by a program'), 0, 200));
        $content = (string) $request->getContent();
        if (trim($content) === '') {
            throw JsonRefused::because($name, 'nothing was sent. The body of the request is the settings themselves.');
        }
        if (strlen($content) > JsonDocument::LARGEST) {
            throw JsonRefused::because($name, 'it is larger than settings are.');
        }
        $part = $request->query('part');
        if ($part !== null && ! in_array($part, EntryPage::parts($deliverable), true)) {
            throw JsonRefused::because(
                $name,
                'there is no such part; there are '.implode(', ', EntryPage::parts($deliverable)).'.',
            );
        }
        $check = $bring->run($deliverable, $name, $content, $by, part: $part);

        return response()->json(
            $check->account(),
            200,
            ['X-Check' => route('check', $check->id)],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    public function newest(Request $request, string $production, string $code): JsonResponse
    {
        $check = $this->deliverable($request, $production, $code, 'view')
            ->checks()
            ->where('state', 'done')
            ->latest('id')
            ->first();

        return $check === null
            ? response()->json(['message' => 'Nothing of it has been checked yet.'], 404)
            : response()->json(
                $check->account(),
                200,
                ['X-Check' => route('check', $check->id)],
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            );
    }

    public function template(Request $request, string $production, string $code): \Illuminate\Http\Response
    {
        return response(
            SettingsTemplate::json($this->deliverable($request, $production, $code, 'view')->draft()->specification),
        )->header('Content-Type', 'application/json');
    }

    /** What is not there and what is not theirs look alike. */
    private function deliverable(Request $request, string $production, string $code, string $may): Deliverable
    {
        $found = Production::byCode($production)?->deliverables()
            ->whereRaw('lower(code) = ?', [strtolower($code)])
            ->with('production', 'owner', 'specification.latest')
            ->first();
        abort_unless(
            $found !== null && Gate::forUser($request->user())->allows($may, $found),
            404,
            'There is no such deliverable, or it is not yours.',
        );

        return $found;
    }
}
