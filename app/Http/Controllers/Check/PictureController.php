<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Http\CheckedFrame;
use App\Intake\ApprovedPictures;
use App\Intake\CheckedPlace;
use App\Models\Check;
use App\Models\Delivery;
use App\Models\DeliveryOrigin;
use App\Models\User;
use App\Processes\ThumbnailProcess;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Cache;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Text\PlainSentence;

/** Small pictures of single frames, decoded from the files as they are now. */
final class PictureController
{
    private const LONGEST = 320;

    private const LARGE = 1024;

    private const LONGEST_NAME = 255;

    /** Days that a picture is kept, once it was decoded. */
    private const KEPT = 14;

    public function show(
        Request $request,
        #[CurrentUser] User $reader,
        Check $check,
        string $part,
        int $frame,
    ): Response {
        abort_if($check->delivery?->origin === DeliveryOrigin::Own, 404);
        $longest = $request->query('size') === 'large' ? self::LARGE : self::LONGEST;
        if ($request->query('of') === 'approved') {
            CheckedFrame::part($check, $part);

            return $this->send($this->approved($check, $frame, $longest));
        }
        $file = CheckedFrame::file($request, $check, $part, $frame);
        $layer = $request->query('layer');
        $layer = is_string($layer) ? substr($layer, 0, self::LONGEST_NAME) : '';
        $evenGone = $request->query('even') === 'gone';
        $overseer = $reader->can('specify', $check->deliverable);

        return $this->send($this->picture($check, $file, $overseer, $layer, $longest, $evenGone));
    }

    private function send(string $png): Response
    {
        return response($png)->header('Content-Type', 'image/png')->header('Cache-Control', 'private, max-age=600');
    }

    /** The picture that its frame is to agree with. */
    private function approved(Check $check, int $frame, int $longest): string
    {
        $root = $check->delivery?->intakeRoot;
        $place = ApprovedPictures::places($check->resolved(), $check->deliverable, $root)[$frame] ?? abort(404);
        try {
            $file = FolderListing::at($place['folder'])->find($place['name']) ?? abort(404);
        } catch (PlainSentence) {
            abort(404);
        }

        return ThumbnailProcess::make($place['folder'], $file, $longest) ?? abort(404);
    }

    /**
     * Of the very file that was checked: another that lies there by now is not shown for it.
     *
     * @param  bool  $evenGone  whether one that was seen before is shown though its file is another by now
     */
    private function picture(
        Check $check,
        ListedFile $file,
        bool $overseer,
        string $layer,
        int $longest,
        bool $evenGone,
    ): string {
        /** @var Delivery $delivery */
        $delivery = $check->delivery;
        try {
            $folder = CheckedPlace::of($delivery, $check->deliverable, $overseer);
        } catch (PlainSentence) {
            abort(404);
        }
        // the same file in a later delivery has the same picture
        $key = 'picture:'.hash('xxh128', implode(
            "\0",
            [$folder->path, $file->path(), $file->size, $file->modified, $layer, $longest],
        ));
        $kept = Cache::get($key);
        if (! is_string($kept) || ! $evenGone) {
            $now = $folder->listing()->again($file);
            abort_if(
                $now->refused !== null || ! $now->state()->isOfSameMoment($file->state()),
                404,
                'The file was changed since it was looked at. Check again.',
            );
        }
        if (! is_string($kept)) {
            $kept = base64_encode(ThumbnailProcess::make($folder->path, $file, $longest, $layer) ?? '');
            Cache::put($key, $kept, now()->addDays(self::KEPT));
        }
        abort_if($kept === '', 404);

        return (string) base64_decode($kept, true);
    }
}
