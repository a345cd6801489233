<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Intake\SealSpool;
use App\Language\Phrase;
use App\Models\Submission;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\ToldSums;
use PlainLedger\Core\Submission\OtherClock;
use PlainLedger\Core\Submission\SubmissionRecord;
use PlainLedger\Core\Text\PlainSentence;

/** Sums of files that stay on somebody's machine, as its browser works them out; the last of them sign, or verify. */
final readonly class TakeSums
{
    public function __construct(private KeepSubmission $keep, private KeepVerification $verify) {}

    /**
     * @param  array<mixed>  $told  some more of them
     * @param  array{files: int, all_files: int, bytes: int, all_bytes: int}  $progress
     *
     * @throws PlainSentence
     */
    public function more(Submission $submission, array $told, array $progress): void
    {
        $this->add($this->opened($submission), $submission, $told, $progress);
    }

    /**
     * @param  array<mixed>  $told  the last of them
     * @param  array{files: int, all_files: int, bytes: int, all_bytes: int}  $progress
     * @param  list<string>  $gone  paths of files that went or changed while they were read
     * @param  int  $ahead  seconds by which that machine's clock is ahead
     *
     * @throws PlainSentence
     */
    public function last(Submission $submission, array $told, array $progress, array $gone, int $ahead): void
    {
        $spool = $this->opened($submission);
        $this->add($spool, $submission, $told, $progress);
        $refused = array_fill_keys($gone, 'it went or was changed while it was read');
        $seal = new Seal($submission->sumAlgorithms(), $spool->files(), $refused);
        $isSigned = $submission->number !== null;
        try {
            $isSigned
                ? $this->verify->run($submission, $seal)
                : $this->keep->run($submission, $this->asChecked($submission, $seal, $ahead));
        } catch (PlainSentence $why) {
            $isSigned
                ? $this->verify->failed($submission, $why->getMessage())
                : $this->keep->failed($submission, $why->getMessage());
        }
        $spool->remove();
    }

    private function asChecked(Submission $submission, Seal $seal, int $ahead): Seal
    {
        $checked = $submission->delivery?->scanned();

        return $checked === null ? $seal : OtherClock::asChecked($seal, $checked, $ahead);
    }

    /** @throws PlainSentence */
    private function opened(Submission $submission): SealSpool
    {
        $spool = SealSpool::of($submission);
        if (! $spool->isOurs()) {
            throw SubmissionRefused::because(Phrase::of('Its sums are being taken by another page just now.'));
        }
        $submission->refresh();
        if (! $submission->isUnderWay() || ! $submission->isOnOwnDisk()) {
            throw SubmissionRefused::because(Phrase::of(
                'Nobody waits for these sums now: it was stopped, or the page was silent for too long. '
                    .'Begin it again.',
            ));
        }

        return $spool;
    }

    /**
     * @param  array<mixed>  $told
     * @param  array{files: int, all_files: int, bytes: int, all_bytes: int}  $progress
     *
     * @throws PlainSentence
     */
    private function add(SealSpool $spool, Submission $submission, array $told, array $progress): void
    {
        if ($spool->size() > SubmissionRecord::LARGEST) {
            throw SubmissionRefused::because(Phrase::of('These are more files than a record can name.'));
        }
        $spool->add(ToldSums::read($told, $submission->sumAlgorithms()));
        $submission->update([
            'progress' => $progress + ['by' => $submission->progress['by'] ?? null], 'seen_at' => Carbon::now(),
        ]);
    }
}
