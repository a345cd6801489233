<?php

declare(strict_types=1);

namespace App\Http;

use App\Intake\CheckedPlace;
use App\Models\Check;
use App\Models\User;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Text\PlainSentence;

/** The very movie that answered a part when it was checked; ends with “not found” where it cannot be reached. */
final readonly class CheckedMovie
{
    /**
     * @param  int|null  $count  of its pictures
     * @param  string  $folder  the delivery's, at its real place
     */
    private function __construct(
        public ListedFile $file,
        public ?Kind $kind,
        public ?int $count,
        public ByteSource $source,
        public string $folder,
    ) {}

    public static function of(Check $check, string $part, User $reader): self
    {
        $match = CheckedFrame::part($check, $part);
        $delivery = $check->delivery;
        abort_unless($delivery !== null && $delivery->isInFolder() && $match->part->delivers->isMovie(), 404);
        foreach ($match->passes as $pass) {
            if (! $pass->isEmpty()) {
                $file = $pass->frames->listedAt(0);

                $facts = $pass->frames->factsAt(0);
                [$source, $folder] = self::open($check, $file, $reader);

                return new self($file, $facts->kind, $facts->timing->frameCount, $source, $folder);
            }
        }
        abort(404);
    }

    /** @return array{ByteSource, string} */
    private static function open(Check $check, ListedFile $file, User $reader): array
    {
        try {
            $delivery = $check->delivery ?? abort(404);
            $overseer = $reader->can('specify', $check->deliverable);
            $place = CheckedPlace::of($delivery, $check->deliverable, $overseer);
            $listing = $place->listing();
            $now = $listing->again($file);
            abort_if(
                $now->refused !== null || ! $now->state()->isOfSameMoment($file->state()),
                404,
                'The file was changed since it was looked at. Check again.',
            );

            return [$listing->open($now), $place->path];
        } catch (PlainSentence|SourceUnreadable) {
            abort(404);
        }
    }
}
