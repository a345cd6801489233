<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Intake\CheckedPlace;
use App\Intake\SealSpool;
use App\Language\Phrase;
use App\Models\Submission;
use App\Queue\Workers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealProgress;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Text\PlainSentence;

/** Some seconds of reading files for their sums; the next slice goes on from what this one leaves. */
final class SealSlice implements ShouldQueue
{
    use Queueable;

    public const BROKE_OFF = 'The reading of the files broke off, and nothing was signed. Begin it again.';

    public int $tries = 2;

    public int $timeout = 1800;

    public function __construct(public readonly int $submission) {}

    public function handle(KeepSubmission $keep, KeepVerification $verify): void
    {
        $submission = Submission::query()->with('deliverable', 'delivery')->find($this->submission);
        if ($submission === null || ! $submission->isUnderWay()) {
            return;
        }
        $verifies = $submission->number !== null;
        try {
            $seal = $this->sealed($submission);
            if ($seal === null) {
                return;
            }
            $verifies ? $verify->run($submission, $seal) : $keep->run($submission, $seal);
        } catch (PlainSentence $refused) {
            $verifies
                ? $verify->failed($submission, $refused->getMessage())
                : $keep->failed($submission, $refused->getMessage());
        }
        SealSpool::of($submission)->remove();
    }

    /**
     * @return Seal|null null where it is not done yet, or nobody wants it any more
     *
     * @throws PlainSentence
     */
    private function sealed(Submission $submission): ?Seal
    {
        $delivery = $submission->delivery
            ?? throw SubmissionRefused::because(Phrase::of(
                'What was checked is no longer kept. Check the files again.',
            ));
        $listing = CheckedPlace::of($delivery, $submission->deliverable, true)->listing();
        $spool = SealSpool::of($submission);
        $run = new SealRun($listing, $submission->sumAlgorithms(), $spool->files());
        $until = microtime(true) + (int) config('ledger.slice');
        $told = 0.0;
        foreach ($run->steps(static fn () => Workers::beat()) as $progress) {
            $now = microtime(true);
            if ($now - $told > 1) {
                $told = $now;
                if (! $this->tell($submission, $progress)) {
                    return null;
                }
            }
            // each slice gets on, however long it took to find out where the one before it had come to
            $isOver = $now > $until && $run->read > 0 && $progress->files < $progress->allFiles;
            if ($isOver && config('queue.default') !== 'sync') {
                $spool->add($run->result()->files);
                self::dispatch($this->submission);

                return null;
            }
        }

        return $run->result();
    }

    /** @return bool whether anybody still wants to know */
    private function tell(Submission $submission, SealProgress $progress): bool
    {
        Workers::beat();

        return Submission::query()->whereKey($submission->id)->whereNotNull('progress')->update([
            'progress' => json_encode([
                'files' => $progress->files, 'all_files' => $progress->allFiles, 'bytes' => $progress->bytes,
                'all_bytes' => $progress->allBytes, 'by' => $submission->progress['by'] ?? null,
            ], JSON_THROW_ON_ERROR),
            'seen_at' => Carbon::now(),
        ]) === 1;
    }

    public function failed(?\Throwable $fault): void
    {
        $submission = Submission::query()->find($this->submission);
        if ($submission !== null && $submission->isUnderWay()) {
            $submission->number !== null
                ? app(KeepVerification::class)->failed($submission, self::BROKE_OFF)
                : app(KeepSubmission::class)->failed($submission, self::BROKE_OFF);
            SealSpool::of($submission)->remove();
        }
    }
}
