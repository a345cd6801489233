<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Models\Check;
use App\Models\Submission;
use App\Models\SubmissionState;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedFile;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Core\Submission\Approvals;
use PlainLedger\Core\Submission\LinesSince;
use PlainLedger\Core\Submission\Redelivery;

/** How what is signed now stands to what was signed before: what came again, and what stays approved. */
final readonly class SinceBefore
{
    private function __construct(
        private ?Submission $before,
        private Seal $seal,
        private ?Redelivery $files,
        private ?LinesSince $lines,
        public Approvals $approvals,
    ) {}

    public static function of(Submission $submission, Check $check, Seal $seal): self
    {
        $before = self::before($submission->deliverable_id);
        if ($before === null) {
            return new self(null, $seal, null, null, Approvals::none());
        }
        $record = $before->signedRecord();
        $files = Redelivery::of($record, $seal);
        $then = is_array($record->data['check'] ?? null) ? $record->data['check'] : [];
        $asked = SpecificationDocument::of($check->resolved());
        // whoever withdrew it took back what was approved by it
        $stays = $before->state === SubmissionState::Signed;

        return new self(
            $before,
            $seal,
            $files,
            LinesSince::of($then, $check->account()),
            $stays ? Approvals::staying($record, $files, $asked) : Approvals::none(),
        );
    }

    /** Whether nothing was signed, or withdrawn, meanwhile. */
    public function isStillSo(int $deliverable): bool
    {
        $now = self::before($deliverable);

        return $now?->id === $this->before?->id && $now?->state === $this->before?->state;
    }

    /** The newest that was signed, whatever became of it since. */
    public static function before(int $deliverable): ?Submission
    {
        return Submission::query()->select(Submission::SHOWN)->where('deliverable_id', $deliverable)
            ->whereNotNull('number')->latest('number')->first();
    }

    /**
     * What a record says of it.
     *
     * @return array{since: array<string, mixed>|null, approved: list<array<string, mixed>>}
     */
    public function toArray(int $number, string $by, string $at): array
    {
        $paths = array_map(static fn (SealedFile $file): string => $file->path, $this->seal->files);
        $lines = $this->lines?->toArray();

        return [
            'since' => $this->files === null ? null : $this->files->toArray() + ['lines' => $lines],
            'approved' => $this->approvals->toArray($paths, $number, $by, $at),
        ];
    }

    /** @return list<string> in sentences; none where nothing was signed before */
    public function sentences(): array
    {
        return $this->files?->sentences() ?? [];
    }

    public function number(): ?int
    {
        return $this->files?->number;
    }
}
