<?php

declare(strict_types=1);

namespace App\Http\Controllers\Submission;

use App\Http\HandedOver;
use App\Models\Submission;
use PlainLedger\Core\Delivery\Archive\ZipWriter;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** All that is handed over in one archive: the files, their checksums, the record and the sheet. */
final class PackageController
{
    public function __invoke(Submission $submission): StreamedResponse
    {
        abort_unless($submission->state->isSigned(), 404);
        $package = HandedOver::of($submission);
        $plain = preg_replace('~[^A-Za-z0-9_.-]~', '_', "{$submission->deliverable->code}-{$submission->number}.zip");

        return response()->stream(static function () use ($package): void {
            foreach (ZipWriter::write($package->files(time())) as $piece) {
                echo $piece;
                flush();
            }
        }, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => "attachment; filename=\"{$plain}\"",
            'Content-Length' => (string) ZipWriter::length($package->sizes()),
            'X-Accel-Buffering' => 'no',
        ]);
    }
}
