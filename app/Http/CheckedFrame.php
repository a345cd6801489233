<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Check;
use Illuminate\Http\Request;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Matching\PartMatch;

/** Which file a frame of a check lies in, of several passes the one that is asked for. */
final readonly class CheckedFrame
{
    /** Ends with “not found” where the check knows of no such frame. */
    public static function file(Request $request, Check $check, string $part, int $frame): ListedFile
    {
        foreach (self::part($check, $part)->passes as $pass) {
            $at = $pass->frames->place($frame);
            if ($at !== null && ($request->query('pass') === null || $request->query('pass') === $pass->pass)) {
                return $pass->frames->listedAt($at);
            }
        }
        abort(404);
    }

    public static function part(Check $check, string $part): PartMatch
    {
        $check->loadMissing('deliverable.production', 'deliverable.owner', 'delivery.intakeRoot', 'scene');
        $delivery = $check->delivery ?? abort(404);
        $timeline = $check->scene?->settings()->timeline;

        return Matcher::match($check->resolved(), $delivery->scanned(), $timeline)->parts[$part] ?? abort(404);
    }
}
