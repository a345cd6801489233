<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Intake\IntakeFolder;
use App\Models\Check;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Gate;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\PlainSentence;

/** Small pictures of single frames, decoded from the files as they are now. */
final class PictureController
{
    private const LONGEST = 320;

    /** Days that a picture is kept, once it was decoded. */
    private const KEPT = 14;

    public function show(Request $request, Check $check, string $part, int $frame): Response
    {
        $check->load('deliverable.production', 'deliverable.owner', 'delivery.intakeRoot', 'scene');
        Gate::authorize('view', $check->deliverable);
        $delivery = $check->delivery;
        abort_unless($delivery?->intakeRoot !== null, 404);
        $match = Matcher::match($check->resolved(), $delivery->scanned(), $check->scene?->settings()->timeline)->parts[$part] ?? abort(404);
        $overseer = $request->user()?->can('specify', $check->deliverable) ?? false;
        foreach ($match->passes as $pass) {
            $at = $pass->frames->place($frame);
            // of several passes the one that is asked for
            if ($at === null || ($request->query('pass') !== null && $request->query('pass') !== $pass->pass)) {
                continue;
            }
            $sequence = $pass->takes[$pass->frames->takes[$at]]->sequence;
            $row = $sequence->rowOf($frame) ?? abort(404);
            try {
                $listing = IntakeFolder::open($delivery->intakeRoot, $delivery->folder, $check->deliverable, $overseer)->listing();
                $source = $listing->open($sequence->group->listed($row));
                $facts = Probe::standard()->read($source);
                $key = "picture:{$delivery->id}:{$part}:{$frame}:".hash('xxh128', $source->read(0, 4096).$source->size().$source->read(max(0, $source->size() - 4096), 4096));
                $png = (string) base64_decode(Cache::remember($key, now()->addDays(self::KEPT), static fn (): string => base64_encode(PictureDecoder::standard()->decode($source, $facts)->thumbnail(self::LONGEST))), true);
            } catch (PlainSentence) {
                abort(404);
            }

            return response($png)->header('Content-Type', 'image/png')->header('Cache-Control', 'private, max-age=600');
        }
        abort(404);
    }
}
