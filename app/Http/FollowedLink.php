<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\LinkKind;
use App\Models\SheetLink;
use App\Security\SecurityLog;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\URL;

/** A link that somebody without a sign-in came by. */
final readonly class FollowedLink
{
    /** @return SheetLink|PlainResponse the page that says why it is closed, where it is */
    public static function of(Request $request, int $link, LinkKind $kind): SheetLink|PlainResponse
    {
        $found = SheetLink::query()->where('kind', $kind)->whereHas('deliverable.production')->find($link);
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

        return $found;
    }
}
