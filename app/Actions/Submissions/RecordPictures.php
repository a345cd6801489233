<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Intake\CheckedPlace;
use App\Models\Check;
use App\Models\Submission;
use App\Processes\ThumbnailProcess;
use PlainLedger\Core\Matching\Matcher;
use PlainLedger\Core\Submission\PictureChoice;
use PlainLedger\Core\Submission\SubmissionRecord;
use PlainLedger\Core\Text\PlainSentence;

/** A few small pictures of what is signed. Whoever reads the record sees what it is about; its sums prove it. */
final readonly class RecordPictures
{
    /** Pixels of the longer side. */
    private const LONGEST = 240;

    /** Of 100. */
    private const QUALITY = 80;

    /** Seconds that all of them may take. */
    private const PATIENCE = 20;

    /** What shines through where a picture is transparent. */
    private const PAPER = [255, 254, 250];

    /** @return list<array<string, mixed>> none of what cannot be decoded, or lies where only a browser reads it */
    public static function of(Submission $submission, Check $check): array
    {
        $check->loadMissing('deliverable.production', 'deliverable.owner', 'delivery.intakeRoot', 'scene');
        $delivery = $check->delivery;
        if ($delivery === null || $submission->isOnOwnDisk()) {
            return [];
        }
        try {
            $place = CheckedPlace::of($delivery, $check->deliverable, true)->path;
        } catch (PlainSentence) {
            return [];
        }
        $match = Matcher::match($check->resolved(), $delivery->scanned(), $check->scene?->settings()->timeline);
        $until = microtime(true) + self::PATIENCE;
        $pictures = [];
        foreach (PictureChoice::of($match->parts) as $choice) {
            $png = microtime(true) < $until
                ? ThumbnailProcess::make($place, $choice->file, self::LONGEST, picture: $choice->picture)
                : null;
            $jpeg = $png === null ? null : self::jpeg($png);
            if ($jpeg !== null) {
                $pictures[] = self::told($choice, $jpeg);
            }
        }

        return $pictures;
    }

    /** @return array<string, mixed> */
    private static function told(PictureChoice $choice, string $jpeg): array
    {
        return [
            'part' => $choice->part, 'pass' => $choice->pass, 'frame' => $choice->frame, 'picture' => $choice->picture,
            'path' => SubmissionRecord::written($choice->file->path()), 'jpeg' => base64_encode($jpeg),
        ];
    }

    private static function jpeg(string $png): ?string
    {
        $image = @imagecreatefromstring($png);
        if ($image === false) {
            return null;
        }
        $sheet = imagecreatetruecolor(imagesx($image), imagesy($image));
        if ($sheet === false) {
            return null;
        }
        imagefill($sheet, 0, 0, (int) imagecolorallocate($sheet, ...self::PAPER));
        imagecopy($sheet, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));
        ob_start();
        imagejpeg($sheet, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
