<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\WrittenSheet;
use App\Models\SheetLink;
use App\Security\SecurityLog;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\URL;

/** For somebody without a sign-in: the sheet as it is now, and nothing else. */
final class OpenSheetController
{
    public function __invoke(Request $request, int $link): PlainResponse
    {
        $found = SheetLink::query()->find($link);
        if (! $request->hasValidRelativeSignature() || $found === null || ! $found->isOpen()) {
            $why = match (true) {
                ! URL::hasCorrectSignature($request, false) => 'It is not one of ours, or was not copied whole.',
                $found?->revoked_at !== null => 'It was taken back.',
                default => 'Its time is over.',
            };

            return response()->view('sheet-closed', ['why' => $why], 403)->header('X-Robots-Tag', 'noindex');
        }
        $found->increment('opened');
        SecurityLog::note('link opened', ['link' => $found->id]);

        return WrittenSheet::of($found->deliverable->loadAsked(), 'html')
            ->header('X-Robots-Tag', 'noindex')
            ->header('Cache-Control', 'no-store');
    }
}
