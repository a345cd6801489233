<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Models\Submission;
use App\Queue\Workers;

/** How far the reading of a submission's files is. */
final readonly class SealShown
{
    public int $id;

    public bool $underWay;

    /** Files that were signed already are read once more. */
    public bool $verifies;

    public int $files;

    public int $allFiles;

    public int $bytes;

    public int $allBytes;

    /** They are read by the browser of whoever has them on a disk of their own. */
    public bool $own;

    /** Nobody works on what is queued. */
    public bool $alone;

    public function __construct(Submission $submission)
    {
        $progress = $submission->progress ?? ['files' => 0, 'all_files' => 0, 'bytes' => 0, 'all_bytes' => 0];
        $this->id = $submission->id;
        $this->underWay = $submission->isUnderWay();
        $this->verifies = $submission->state->isSigned();
        $this->files = $progress['files'];
        $this->allFiles = $progress['all_files'];
        $this->bytes = $progress['bytes'];
        $this->allBytes = $progress['all_bytes'];
        $this->own = $submission->isOnOwnDisk();
        $this->alone = Workers::areMissing();
    }
}
