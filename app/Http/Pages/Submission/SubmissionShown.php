<?php

declare(strict_types=1);

namespace App\Http\Pages\Submission;

use App\Http\Moment;
use App\Models\Submission;
use App\Models\SubmissionState;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Checksums\SumAlgorithm;

/** One sign-off. */
final readonly class SubmissionShown
{
    public int $id;

    public ?int $number;

    public SubmissionState $state;

    public ?string $by;

    public ?string $at;

    public string $note;

    public ?int $files;

    public ?int $bytes;

    public ?string $fingerprint;

    /** @var list<string> */
    public array $sums;

    /** Why it came to nothing. */
    public ?string $fault;

    /** @var array{by: string|null, at: string, why: string}|null */
    public ?array $withdrawn;

    /** @var array{at: string, holds: bool, says: list<string>}|null */
    public ?array $verified;

    public ?int $check;

    public function __construct(Submission $submission)
    {
        $this->id = $submission->id;
        $this->number = $submission->number;
        $this->state = $submission->state;
        $this->by = $submission->person?->name;
        $this->at = $submission->signed_at === null ? null : Moment::told($submission->signed_at);
        $this->note = $submission->note;
        $this->files = $submission->file_count;
        $this->bytes = $submission->total_size;
        $this->fingerprint = $submission->fingerprint;
        $this->sums = array_map(static fn (SumAlgorithm $a): string => $a->label(), $submission->sumAlgorithms());
        $this->fault = $submission->fault;
        $this->withdrawn = $submission->withdrawn_at === null ? null : [
            'by' => $submission->withdrawer?->name,
            'at' => Moment::told($submission->withdrawn_at),
            'why' => (string) $submission->withdrawn_why,
        ];
        $verified = $submission->verified;
        $this->verified = $verified === null
            ? null
            : ['at' => Moment::told(Carbon::parse($verified['at']))] + $verified;
        $this->check = $submission->check_id;
    }
}
