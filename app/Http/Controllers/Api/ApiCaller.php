<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Production;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Who asks by a token, and what is open to them. */
final readonly class ApiCaller
{
    public function __construct(private Request $request) {}

    public function person(): User
    {
        /** @var User */
        return $this->request->user();
    }

    /** What is not there and what is not theirs look alike. */
    public function deliverable(string $production, string $code, string $may): Deliverable
    {
        $found = Production::byCode($production)?->deliverables()
            ->whereRaw('lower(code) = ?', [strtolower($code)])
            ->withAsked()
            ->first();
        abort_unless(
            $found !== null && $this->person()->can($may, $found),
            404,
            'There is no such deliverable, or it is not yours.',
        );

        return $found;
    }

    /** The document of a check, as the console program writes it. */
    public static function check(Check $check): JsonResponse
    {
        return response()->json(
            $check->account(),
            200,
            ['X-Check' => route('check', $check->id)],
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }
}
