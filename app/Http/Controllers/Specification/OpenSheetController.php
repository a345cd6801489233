<?php

declare(strict_types=1);

namespace App\Http\Controllers\Specification;

use App\Http\FollowedLink;
use App\Http\WrittenSheet;
use App\Models\LinkKind;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;

/** For somebody without a sign-in: the sheet as it is now, and nothing else. */
final class OpenSheetController
{
    public function __invoke(Request $request, int $link): PlainResponse
    {
        $found = FollowedLink::of($request, $link, LinkKind::Sheet);
        if ($found instanceof PlainResponse) {
            return $found;
        }

        return WrittenSheet::of($found->deliverable->loadAsked(), 'html')
            ->header('X-Robots-Tag', 'noindex')
            ->header('Cache-Control', 'no-store');
    }
}
