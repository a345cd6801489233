<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Intake\SealSpool;
use App\Language\Phrase;
use App\Models\Deliverable;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PlainLedger\Core\Checksums\SumAlgorithm;

/** Begins a sign-off: what may be signed is settled at once, and its files are read by the queue. */
final readonly class SignOff
{
    /**
     * @param  array<string, string>  $answers  what was done instead, by the key of a line that could not be checked
     * @param  list<SumAlgorithm>  $algorithms  at least one
     *
     * @throws SubmissionRefused
     */
    public function run(
        Deliverable $deliverable,
        int $check,
        string $note,
        array $answers,
        array $algorithms,
        User $by,
    ): Submission {
        $submission = DB::transaction(static function () use ($deliverable, $check, $note, $answers, $algorithms, $by) {
            $newest = Obstacles::checkOf($deliverable->loadAsked());
            if ($newest?->id !== $check) {
                throw SubmissionRefused::because(Phrase::of('There is a newer check of this; look at that one first.'));
            }
            $left = Obstacles::unanswered(Obstacles::of($deliverable, $newest), $answers);
            if ($left !== []) {
                throw SubmissionRefused::because($left[0]->says);
            }

            return Submission::query()->create([
                'deliverable_id' => $deliverable->id, 'check_id' => $newest->id, 'delivery_id' => $newest->delivery_id,
                'user_id' => $by->id, 'state' => SubmissionState::Sealing, 'note' => $note, 'answers' => $answers,
                'algorithms' => self::comparable($deliverable, array_column($algorithms, 'value')),
                'seen_at' => Carbon::now(),
                'progress' => ['files' => 0, 'all_files' => 0, 'bytes' => 0, 'all_bytes' => 0],
            ]);
        });
        self::goOn($submission);
        // what lies on somebody's own disk is read by their browser
        $submission->isOnOwnDisk() || SealSlice::dispatch($submission->id);

        return $submission;
    }

    /**
     * With one by which what came again can be told from what was signed before.
     *
     * @param  list<string>  $algorithms
     * @return list<string>
     */
    private static function comparable(Deliverable $deliverable, array $algorithms): array
    {
        $before = SinceBefore::before($deliverable->id)->algorithms ?? [];

        return $before === [] || array_intersect($before, $algorithms) !== []
            ? $algorithms
            : [...$algorithms, $before[0]];
    }

    /** What was read for one that broke off is not read again. */
    private static function goOn(Submission $submission): void
    {
        $before = Submission::query()->where('check_id', $submission->check_id)
            ->where('state', SubmissionState::Failed)->latest('id')->first();
        if ($before !== null && $before->algorithms === $submission->algorithms) {
            SealSpool::of($submission)->goOnFrom(SealSpool::of($before));
        }
    }
}
