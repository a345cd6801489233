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
    /** Lines of names that are shown. */
    private const MOST = 12;

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

    /** Its files stay on the disk of whoever had them checked. */
    public bool $own;

    /** The one that was signed before, with which it was compared; null where there is none. */
    public ?int $sinceNumber;

    /** @var list<string> what of it came again since then, in sentences */
    public array $since;

    /**
     * Who signed which of its files first; told where several did.
     *
     * @var list<array{number: int, by: string, at: string, files: int, names: list<string>}>
     */
    public array $approved;

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
        $this->verified = self::verified($submission);
        $this->check = $submission->check_id;
        $this->own = $submission->isOnOwnDisk();
        $this->sinceNumber = $submission->since['number'] ?? null;
        $this->since = $submission->since['says'] ?? [];
        $this->approved = self::approved($submission->since['approved'] ?? []);
    }

    /**
     * @param  list<array{
     *   number: int, signed_by: string, signed_at: string, files: int, names: list<string>
     * }>  $approved  as a record has it
     * @return list<array{number: int, by: string, at: string, files: int, names: list<string>}>
     */
    private static function approved(array $approved): array
    {
        return count($approved) < 2 ? [] : array_map(static fn (array $one): array => [
            'number' => $one['number'], 'by' => $one['signed_by'],
            'at' => $one['signed_at'] === '' ? '' : Moment::told(Carbon::parse($one['signed_at'])),
            'files' => $one['files'], 'names' => array_slice($one['names'], 0, self::MOST),
        ], $approved);
    }

    /** @return array{at: string, holds: bool, says: list<string>}|null */
    private static function verified(Submission $submission): ?array
    {
        $verified = $submission->verified;

        return $verified === null ? null : ['at' => Moment::told(Carbon::parse($verified['at']))] + $verified;
    }
}
