<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Audit\Chain;
use App\Language\Phrase;
use App\Models\Check;
use App\Models\Deliverable;
use App\Models\Submission;
use App\Models\SubmissionState;
use App\Security\RecordKeys;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Submission\FilesSince;
use PlainLedger\Core\Submission\HistoryEntry;
use PlainLedger\Core\Submission\Obstacle;
use PlainLedger\Core\Submission\SubmissionRecord;
use PlainLedger\Core\Text\Text;

/** Signs what was sealed, where everything still is as it was when somebody said so. */
final readonly class KeepSubmission
{
    private const LEVEL = 5;

    /** @throws SubmissionRefused */
    public function run(Submission $submission, Seal $seal): void
    {
        $check = $submission->check ?? throw SubmissionRefused::because(Phrase::of('The check is no longer kept.'));
        self::expectSame($check, $seal);
        // nothing else waits while these are made
        $pictures = RecordPictures::of($submission, $check);
        $since = SinceBefore::of($submission, $check, $seal);
        DB::transaction(static function () use ($submission, $check, $seal, $pictures, $since): void {
            $deliverable = $submission->deliverable->loadAsked();
            $obstacles = self::answered($submission, $deliverable, $check);
            $earlier = Submission::query()->where('deliverable_id', $deliverable->id)
                ->where('state', SubmissionState::Signed)->latest('id')->first();
            $number = 1 + (int) Submission::query()->where('deliverable_id', $deliverable->id)->max('number');
            $at = Carbon::now('UTC');
            $last = Chain::last($deliverable->id);
            $since = $since->isStillSo($deliverable->id) ? $since : SinceBefore::of($submission, $check, $seal);
            $told = $since->toArray($number, (string) $submission->person?->name, $at->format(RecordContent::TIME));
            $record = SubmissionRecord::signed(
                (new RecordContent($submission, $check, $seal, $obstacles, $since->approvals))->toArray(
                    $number,
                    $at,
                    $told + [
                        'pictures' => $pictures,
                        'replaces' => $earlier?->number,
                        'history' => ['entries' => $last->number ?? 0, 'before' => $last->sum ?? HistoryEntry::NOTHING],
                    ],
                ),
                RecordKeys::own(),
            );
            $text = $record->write();
            $earlier?->update(['state' => SubmissionState::Replaced]);
            $submission->update([
                'number' => $number, 'state' => SubmissionState::Signed, 'progress' => null, 'signed_at' => $at,
                'file_count' => count($seal->files), 'total_size' => $seal->bytes(),
                'fingerprint' => $seal->fingerprint(), 'record' => gzencode($text, self::LEVEL), 'fault' => null,
                'since' => [
                    'number' => $since->number(), 'says' => $since->sentences(), 'approved' => $told['approved'],
                ],
            ]);
            Chain::add($deliverable->id, 'signed off', [
                'submission' => $number, 'record' => hash('sha256', $text), 'files' => count($seal->files),
                'fingerprint' => $seal->fingerprint(), 'replaces' => $earlier?->number,
            ], $submission->person);
        });
    }

    /**
     * @return list<Obstacle> what stood in the way, and was answered for
     *
     * @throws SubmissionRefused where something else does
     */
    private static function answered(Submission $submission, Deliverable $deliverable, Check $check): array
    {
        // it is under way itself
        Submission::query()->whereKey($submission->id)->update(['progress' => null]);
        if (Obstacles::checkOf($deliverable)?->id !== $check->id) {
            throw SubmissionRefused::because(Phrase::of(
                'The files were checked again meanwhile. Look at that check first.',
            ));
        }
        $obstacles = Obstacles::of($deliverable, $check);
        $left = Obstacles::unanswered($obstacles, $submission->answers);
        if ($left !== []) {
            throw SubmissionRefused::because($left[0]->says);
        }

        return $obstacles;
    }

    /** @throws SubmissionRefused where the files are not those that were checked */
    private static function expectSame(Check $check, Seal $seal): void
    {
        foreach ($seal->refused as $path => $why) {
            throw SubmissionRefused::because(Phrase::of(
                '“:shown” could not be read: :why.',
                ['shown' => Text::shown((string) $path), 'why' => $why],
            ));
        }
        $delivery = $check->delivery ?? throw SubmissionRefused::because(Phrase::of(
            'What was checked is no longer kept.',
        ));
        $since = FilesSince::of($delivery->scanned(), $seal);
        if (! $since->areTheSame()) {
            throw SubmissionRefused::because(Phrase::of(
                ':inWords Check them again, then sign off.',
                ['inWords' => $since->inWords()],
            ));
        }
    }

    public function failed(Submission $submission, string $why): void
    {
        Submission::query()->whereKey($submission->id)->where('state', SubmissionState::Sealing)->update([
            'state' => SubmissionState::Failed, 'progress' => null, 'fault' => Str::limit($why, 2000, '…'),
        ]);
    }
}
