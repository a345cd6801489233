<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Http\Moment;
use App\Models\Check;
use App\Models\DeliveryOrigin;
use PlainLedger\Core\Checking\Verdict;

/** The check that would be signed. */
final readonly class CheckToSign
{
    public int $id;

    public string $at;

    public string $depth;

    public ?Verdict $verdict;

    public int $files;

    public int $bytes;

    /** Its files lie on the disk of whoever had them checked. */
    public bool $own;

    public string $folder;

    public function __construct(Check $check)
    {
        $this->id = $check->id;
        $this->at = Moment::told($check->updated_at);
        $this->depth = (string) $check->delivery?->depth;
        $this->verdict = $check->verdict;
        $this->files = (int) $check->delivery?->file_count;
        $this->bytes = (int) $check->delivery?->total_size;
        $this->own = $check->delivery?->origin === DeliveryOrigin::Own;
        $this->folder = (string) $check->delivery?->folder;
    }
}
