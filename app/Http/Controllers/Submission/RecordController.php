<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Http\FollowedLink;
use App\Http\WrittenRecord;
use App\Models\LinkKind;
use App\Models\SheetLink;
use App\Models\Submission;
use App\Models\User;
use App\Security\SecurityLog;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Carbon;

/** The record of a sign-off, in all its forms, and links to it. */
final class RecordController
{
    public function show(Submission $submission, string $format): PlainResponse
    {
        abort_unless($submission->state->isSigned(), 404);

        return WrittenRecord::of($submission, $format);
    }

    public function share(Request $request, #[CurrentUser] User $by, Submission $submission): RedirectResponse
    {
        abort_unless($submission->state->isSigned(), 404);
        $days = $request->validate(
            ['days' => ['required', 'integer', 'min:1', 'max:365']],
            ['days.*' => 'A link lasts from 1 to 365 days.'],
        )['days'];
        $link = SheetLink::query()->create([
            'deliverable_id' => $submission->deliverable_id, 'submission_id' => $submission->id, 'user_id' => $by->id,
            'expires_at' => Carbon::now()->addDays((int) $days), 'kind' => LinkKind::Record,
        ]);
        SecurityLog::note('link given', [
            'link' => $link->id, 'submission' => $submission->id, 'days' => (int) $days,
        ]);

        return back();
    }

    /** For somebody without a sign-in: that record, and nothing else. */
    public function open(Request $request, int $link): PlainResponse
    {
        $found = FollowedLink::of($request, $link, LinkKind::Record);
        if ($found instanceof PlainResponse) {
            return $found;
        }

        return WrittenRecord::of($found->submission ?? abort(404), 'html')
            ->header('X-Robots-Tag', 'noindex')
            ->header('Cache-Control', 'no-store');
    }
}
