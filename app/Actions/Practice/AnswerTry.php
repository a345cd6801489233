<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Actions\People\PeopleRefused;
use App\Language\Phrase;
use App\Models\PracticeTry;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Practice\PracticeAnswer;

/** Marks what somebody said of what they were given, once. */
final readonly class AnswerTry
{
    public function __construct(private PractiseFolder $folder) {}

    /** @throws PeopleRefused where it was answered already */
    public function run(PracticeTry $try, PracticeAnswer $answer): Marking
    {
        $guide = CauseGuide::read((string) file_get_contents(base_path('docs/causes.md')));
        $marking = Marking::of($this->folder->truth($try), $answer, $guide);
        $kept = PracticeTry::query()->whereKey($try->id)->whereNull('marked_at')->update([
            'answer' => json_encode([
                'balances' => $answer->balances, 'lines' => $answer->lines, 'causes' => $answer->causes,
                'render' => array_map(strval(...), $answer->render),
            ], JSON_THROW_ON_ERROR),
            'marks' => json_encode([
                'earned' => $marking->earned(), 'possible' => $marking->possible(), 'points' => $marking->points,
            ], JSON_THROW_ON_ERROR),
            'marked_at' => Carbon::now(),
        ]);
        if ($kept !== 1) {
            throw PeopleRefused::because(Phrase::of('This was answered already. Take another one.'));
        }

        return $marking;
    }
}
