<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Models\Check;
use App\Models\Submission;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Submission\Approvals;
use PlainLedger\Core\Submission\Obstacle;
use PlainLedger\Core\Submission\SubmissionRecord;

/** Everything that a record says. */
final readonly class RecordContent
{
    /** UTC. */
    public const TIME = 'Y-m-d\TH:i:s\Z';

    /** What a check's document has for its page alone. */
    private const OF_PAGES = ['strip' => 1, 'since' => 1];

    /** @param  list<Obstacle>  $obstacles  those that were answered */
    public function __construct(
        private Submission $submission,
        private Check $check,
        private Seal $seal,
        private array $obstacles,
        private Approvals $approvals,
    ) {}

    /**
     * @param  array<string, mixed>  $standing  where it stands among others
     * @return array<string, mixed>
     */
    public function toArray(int $number, Carbon $at, array $standing): array
    {
        $deliverable = $this->submission->deliverable;
        $account = array_diff_key($this->check->account(), self::OF_PAGES);

        return [
            'number' => $number,
            'production' => ['code' => $deliverable->production->code, 'name' => $deliverable->production->name],
            'deliverable' => [
                'code' => $deliverable->code, 'title' => $deliverable->title, 'owner' => $deliverable->owner?->name,
            ],
            'signed_by' => $this->submission->person?->name,
            'signed_at' => $at->format(self::TIME),
            'note' => $this->submission->note,
            'checked_at' => $this->check->updated_at->copy()->utc()->format(self::TIME),
            'verdict' => $account['verdict'],
            'depth' => $account['depth'],
            'accepted' => $this->accepted($account),
            'answered' => $this->answered(),
            'asked' => SpecificationDocument::of($this->check->resolved()),
            'check' => $account,
            'totals' => ['files' => count($this->seal->files), 'bytes' => $this->seal->bytes()],
            'fingerprint' => $this->seal->fingerprint(),
            'read_by' => $this->submission->isOnOwnDisk() ? 'browser' : 'server',
            'files' => array_map($this->file(...), $this->seal->files),
        ] + $standing;
    }

    /**
     * @param  array<string, mixed>  $account
     * @return list<array<string, mixed>> lines that differ and were accepted
     */
    private function accepted(array $account): array
    {
        $accepted = [];
        /** @var array<string, mixed> $entry */
        foreach (is_array($account['entries']) ? $account['entries'] : [] as $entry) {
            $waiver = $entry['waiver'] ?? null;
            if (is_array($waiver)) {
                $files = is_array($entry['files'] ?? null) ? $entry['files'] : [];
                $accepted[] = array_intersect_key($entry, ['id' => 1, 'part' => 1, 'pass' => 1, 'required' => 1]) + [
                    'found' => $files['found'] ?? null, 'reason' => $waiver['reason'] ?? '',
                    'by' => $waiver['by'] ?? null,
                ];
            }
        }

        return $accepted;
    }

    /** @return list<array<string, mixed>> lines that nothing could tell, and what was done instead */
    private function answered(): array
    {
        $answered = [];
        foreach ($this->obstacles as $obstacle) {
            if ($obstacle->line !== null) {
                $answered[] = [
                    'id' => $obstacle->line->id, 'part' => $obstacle->line->part, 'pass' => $obstacle->line->pass,
                    'required' => $obstacle->line->required, 'why' => $obstacle->says,
                    'done_instead' => $this->submission->answers[$obstacle->line->key()] ?? '',
                    'by' => $this->submission->person?->name,
                ];
            }
        }

        return $answered;
    }

    /** @return array<string, mixed> */
    private function file(SealedFile $file): array
    {
        $first = $this->approvals->numbers[$file->path] ?? null;

        return [
            'path' => SubmissionRecord::written($file->path), 'bytes' => $file->size,
            'modified' => gmdate(self::TIME, $file->modified), 'sums' => $file->sums,
        ] + ($first === null ? [] : ['first_signed' => $first]);
    }
}
