<?php

declare(strict_types=1);

namespace App\Actions\Submissions;

use App\Audit\Chain;
use App\Models\Submission;
use App\Models\User;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Text\Text;

/** Says of the files of a submission what became of them since it was signed. */
final readonly class KeepVerification
{
    /** Files of a kind that are named. */
    private const MOST = 20;

    /** @throws PlainSentence where the record itself cannot be read */
    public function run(Submission $submission, Seal $seal): void
    {
        $record = $submission->signedRecord();
        $found = Verification::of($record->sums(), $seal);
        $says = [Text::count($found->same, 'file is as it was signed', 'files are as they were signed').'.'];
        if (! $record->holds()) {
            $says[] = 'The record itself is not as it was signed.';
        }
        $renamed = array_map(static fn (array $p): string => "{$p[0]} is {$p[1]} now", $found->renamed);
        foreach ([
            'changed' => $found->changed, 'missing' => $found->missing, 'new' => $found->new, 'renamed' => $renamed,
            'not readable' => array_map(strval(...), array_keys($found->unreadable)),
        ] as $word => $paths) {
            if ($paths !== []) {
                $says[] = ucfirst($word).': '.self::named($paths).'.';
            }
        }
        $by = User::query()->find($submission->progress['by'] ?? 0);
        $holds = $found->holds() && $record->holds();
        $this->keep($submission, $holds, $says);
        Chain::add(
            $submission->deliverable_id,
            'verified',
            ['submission' => $submission->number, 'holds' => $holds],
            $by,
        );
    }

    public function failed(Submission $submission, string $why): void
    {
        $this->keep($submission, false, [$why]);
    }

    /** @param  list<string>  $says */
    private function keep(Submission $submission, bool $holds, array $says): void
    {
        $submission->update([
            'progress' => null,
            'verified' => ['at' => Carbon::now('UTC')->toIso8601ZuluString(), 'holds' => $holds, 'says' => $says],
        ]);
    }

    /** @param  list<string>  $paths */
    private static function named(array $paths): string
    {
        $shown = array_map(Text::shown(...), array_slice($paths, 0, self::MOST));
        $more = count($paths) - count($shown);

        return implode(', ', $shown).($more > 0 ? " and {$more} more" : '');
    }
}
